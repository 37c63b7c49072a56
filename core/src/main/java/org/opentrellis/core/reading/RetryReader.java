package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EmailRef;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Otherwise;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/**
 * Reads "try again up to three times under new subjects “A”, “B” and “C”": whoever does not open an
 * email gets it once more.
 */
final class RetryReader {
  private static final String AGAIN =
      "(if (they|it) (do|did|does|is)(n't| not) open(ed)?( it)?(,)? )?(try|send( it)?)( it)? again(?= up| \\d| twice| three| two| once| four)"
          + "|(re-?try|repeat it|resend( it)?)(?= up| \\d| twice| three| two| four)";
  private static final int MOST = 6;
  private static final Amount USUAL = Amount.of(2, TimeUnit.DAYS);

  private final Cursor cursor;
  private final Scope scope;

  RetryReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  /**
   * @param first the email that is tried again
   * @param subjects one for each time
   * @param upTo how long an open is waited for
   */
  record Tries(Step.Send first, List<Optional<String>> subjects, Amount upTo) {}

  /** Empty if nothing of the kind stands here. */
  Optional<Tries> read() {
    int from = cursor.at();
    if (!cursor.says(AGAIN)) {
      return Optional.empty();
    }
    cursor.says("up to");
    Integer times = new NumberReader(cursor).times();
    if (times == null) {
      throw cursor.lost();
    }
    if (times > MOST) {
      throw new NotUnderstood("At most " + MOST + " times.", from, cursor.end());
    }
    Amount wait = every();
    List<Optional<String>> subjects = subjects(times);
    if (wait == null) {
      wait = every();
    }
    Step.Send first =
        scope
            .lastAbove(Step.SendEmail.class::isInstance)
            .orElseThrow(
                () ->
                    new NotUnderstood(
                        "No email is sent above that could be tried again.", from, cursor.end()));
    return Optional.of(new Tries(first, subjects, wait == null ? USUAL : wait));
  }

  private @Nullable Amount every() {
    int here = cursor.end();
    if (cursor.says("(, )?(each (time )?)?(after|every|waiting|in steps of)")
        || cursor.says("with")) {
      Amount amount = scope.times(cursor).amount();
      if (amount != null) {
        cursor.says("each|apart|between( them)?|in between");
        return amount;
      }
    }
    cursor.back(here);
    return null;
  }

  private List<Optional<String>> subjects(int times) {
    int here = cursor.end();
    cursor.silently(",");
    if (!cursor.says(
        "(each time )?(under|with) (a |an |the |another )?(new |different |other )?subjects?( lines?)?( each( time)?)?:?")) {
      cursor.back(here);
      return java.util.Collections.nCopies(times, Optional.empty());
    }
    int from = cursor.at();
    List<String> said = SendReader.requireSubjects(cursor, 1);
    if (said.size() < times) {
      throw new NotUnderstood(
          "%d subjects are needed, one for each time; here %s."
              .formatted(times, said.size() == 1 ? "is 1" : "are " + said.size()),
          from,
          cursor.end(),
          true,
          List.of());
    }
    return said.subList(0, times).stream().map(Optional::of).toList();
  }

  /** Puts the tries below the place, each inside the one before; goes on below all of them. */
  static void add(Tries tries, Draft draft) {
    FreshIds ids = draft.ids();
    Step outer = within(tries, 0, tries.first().id(), ids);
    draft.add(outer);
  }

  private static Step within(Tries tries, int n, StepId before, FreshIds ids) {
    StepId branch = ids.next("branch");
    Arm opened =
        new Arm(
            ids.orNext(branch.value() + "-a"),
            new Condition.Opened(new EmailRef.OfStep(before), false, Optional.empty()),
            List.of());
    MessageId message = tries.first().message();
    StepId again = ids.next("send");
    Step.SendEmail send =
        Step.SendEmail.of(again, message).edit().subject(tries.subjects().get(n)).done();
    List<Step> steps = new ArrayList<>(List.of(send));
    StepId otherwise = ids.orNext(branch.value() + "-else");
    if (n + 1 < tries.subjects().size()) {
      steps.add(within(tries, n + 1, again, ids));
    }
    return new Step.Branch(
        branch, Optional.of(tries.upTo()), List.of(opened), new Otherwise(otherwise, steps));
  }
}
