package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/** Reads where ways part: by a question, or by lot. */
final class PartingReader {
  private final Cursor cursor;
  private final Scope scope;
  private final FreshIds ids;
  private final @Nullable Step old;
  private final ConditionReader conditions;

  PartingReader(Cursor cursor, Scope scope, FreshIds ids, @Nullable Step old) {
    this.cursor = cursor;
    this.scope = scope;
    this.ids = ids;
    this.old = old;
    this.conditions = new ConditionReader(cursor, scope);
  }

  Step branch(StepId id) {
    List<Condition> asked = new ArrayList<>();
    asked.add(conditions.read());
    while (cursor.also("else on")) {
      asked.add(conditions.read());
    }
    return branch(id, asked, upTo());
  }

  private Optional<Amount> upTo() {
    return cursor.also(
            "waiting up to", "waiting (at most|for up to)|within( the next)?|in the next")
        ? Optional.of(scope.times(cursor).requireAmount())
        : Optional.empty();
  }

  private Step branch(StepId id, List<Condition> asked, Optional<Amount> upTo) {
    Step.Branch before = old instanceof Step.Branch branch ? branch : null;
    List<Arm> arms = new ArrayList<>();
    for (Condition condition : asked) {
      boolean keeps = before != null && arms.size() < before.arms().size();
      Arm kept = keeps ? before.arms().get(arms.size()) : null;
      arms.add(
          kept == null
              ? new Arm(arm(id, arms.size()), condition, List.of())
              : new Arm(kept.id(), condition, kept.steps()));
    }
    Otherwise otherwise =
        before == null
            ? new Otherwise(ids.orNext(id.value() + "-else"), List.of())
            : before.otherwise();
    requireNothingLost(before == null ? 0 : before.arms().size(), arms.size());
    return new Step.Branch(id, upTo, arms, otherwise);
  }

  /**
   * A branch, and the arm that is spoken of.
   *
   * @param arm where what is said next comes
   */
  record Asked(Step.Branch branch, StepId arm) {}

  /**
   * "If they opened it within 2 days". Of something that they have not done within a time, the
   * branch waits for them to do it: who does not takes the other arm.
   */
  Asked asked(StepId id) {
    Condition condition = conditions.read();
    Optional<Amount> upTo = upTo();
    boolean not = condition instanceof Condition.None none && none.parts().size() == 1;
    if (upTo.isPresent() && not) {
      Condition positive = condition.parts().get(0);
      Step.Branch branch = (Step.Branch) branch(id, List.of(positive), upTo);
      return new Asked(branch, branch.otherwise().id());
    }
    Step.Branch branch = (Step.Branch) branch(id, List.of(condition), upTo);
    return new Asked(branch, branch.arms().get(0).id());
  }

  private StepId arm(StepId step, int n) {
    return ids.orNext(step.value() + "-" + (char) ('a' + n % 26));
  }

  /** A sentence never takes away arms with what is in them. */
  private void requireNothingLost(int before, int now) {
    if (now < before) {
      throw new NotUnderstood(
          "This step has %d arms and the sentence %d. Remove an arm first, or name them all."
              .formatted(before, now),
          0,
          cursor.end());
    }
  }

  Step split(StepId id) {
    List<SplitArm> before =
        old instanceof Step.SplitTest split ? split.arms() : List.<SplitArm>of();
    List<SplitArm> arms = new ArrayList<>();
    int from = cursor.at();
    cursor.could("50% / 50%");
    if (before.isEmpty()
        && cursor.says(
            "in half|into halves|half and half|(in|into) two( halves| groups)?|evenly")) {
      return cursor.meaning(
          from,
          () ->
              new Step.SplitTest(
                  id,
                  List.of(
                      new SplitArm(arm(id, 0), 50, List.of()),
                      new SplitArm(arm(id, 1), 50, List.of()))));
    }
    do {
      double percent = SendReader.percent(cursor);
      int n = arms.size();
      arms.add(
          n < before.size()
              ? new SplitArm(before.get(n).id(), percent, before.get(n).steps())
              : new SplitArm(arm(id, n), percent, List.of()));
    } while (cursor.silently("/") || cursor.silently(",") || cursor.says("and|to|:"));
    requireNothingLost(before.size(), arms.size());
    if (arms.size() == 1) {
      throw asksForRest(arms.get(0).percent());
    }
    return cursor.meaning(from, () -> new Step.SplitTest(id, arms));
  }

  private NotUnderstood asksForRest(double percent) {
    int to = cursor.end();
    String rest = " / " + Math.round((100 - percent) * 10) / 10.0 + "%";
    return new NotUnderstood(
        "Into which shares? Two or more are needed.",
        to,
        to,
        true,
        List.of(new Suggestion("the others" + rest, cursor.instead(to, to, rest))));
  }

  /** The new question of an arm. */
  Condition question() {
    return conditions.read();
  }
}
