package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.sentence.RunSheet;

/** Reads sentences about one journey. */
public final class Reader {
  private final Journey journey;
  private final Catalogue catalogue;
  private final List<String> otherJourneys;
  private final KnownNames known;
  private final LocalDate today;

  /**
   * @param known the names in use, this journey's too
   * @param today that a date without a year comes after
   */
  public Reader(
      Journey journey,
      Catalogue catalogue,
      List<String> otherJourneys,
      KnownNames known,
      LocalDate today) {
    this.journey = journey;
    this.catalogue = catalogue;
    this.otherJourneys = otherJourneys;
    this.known = known;
    this.today = today;
  }

  /**
   * Reads a text that adds something: steps below a row, lines about the journey, or several
   * sentences of both.
   *
   * @param below a step or arm, or {@link RunSheet#OPENING} for the beginning; the end of the body
   *     if there is no such row
   * @param caret where completions are wanted
   */
  public Reading add(String below, String text, int caret) {
    return read(text, caret, below, (cursor, draft) -> new TextReader(cursor, draft).read());
  }

  /**
   * Reads a sentence that takes the place of a row's.
   *
   * @param row a step, an arm or a line about the journey
   */
  public Reading replace(String row, String text, int caret) {
    return read(text, caret, row, (cursor, draft) -> replace(row, cursor, draft));
  }

  private Reading read(String text, int caret, String row, BiConsumer<Cursor, Draft> rule) {
    Cursor cursor = new Cursor(text);
    Reading.Result result;
    try {
      Draft draft = draft(row);
      rule.accept(cursor, draft);
      result = new Outcome(draft, known).understood();
    } catch (NotUnderstood problem) {
      result =
          new Reading.Refused(
              problem.sentence(), problem.from, problem.to, problem.asks, problem.offers());
    }
    Cursor begun = caret == text.length() ? cursor : begun(text.substring(0, caret), row, rule);
    return new Reading(result, begun.completions());
  }

  /** Reads a text as far as it stands before the caret, to know what could follow. */
  private Cursor begun(String text, String row, BiConsumer<Cursor, Draft> rule) {
    Cursor cursor = new Cursor(text);
    try {
      rule.accept(cursor, draft(row));
    } catch (NotUnderstood unfinished) {
      // what could have stood at the end is known all the same
    }
    return cursor;
  }

  private Draft draft(String below) {
    return new Draft(journey, catalogue, otherJourneys, known, today, below);
  }

  private void replace(String row, Cursor cursor, Draft draft) {
    Optional<Step> step = draft.step(row);
    Scope scope = draft.scope();
    scope.above().removeIf(send -> is(send, row));
    if (step.isPresent()) {
      Step changed = new StepReader(cursor, scope, draft.ids(), step.get()).read();
      if (changed == null) {
        throw cursor.lost();
      }
      cursor.requireEnd();
      requireWaysKept(step.get(), changed, cursor);
      draft.change(changed);
      return;
    }
    Optional<Step> around = journey.steps().filter(one -> hasArm(one, row)).findFirst();
    if (around.isPresent()) {
      arm(cursor, scope, (Step.Parting) around.get(), row, draft);
      return;
    }
    RuleReader.Line line = new RuleReader(cursor, scope, journey, row).read();
    if (line == null) {
      throw cursor.lost();
    }
    cursor.requireEnd();
    draft.line(line);
  }

  private static void requireWaysKept(Step old, Step changed, Cursor cursor) {
    long inside = old.all().count() - 1;
    if (inside > 0 && changed.all().count() - 1 < inside) {
      throw new NotUnderstood(
          (inside == 1 ? "1 step stands" : inside + " steps stand")
              + " inside this one, and another kind of step has no place for "
              + (inside == 1 ? "it" : "them")
              + ". Remove it first, or add the new step below.",
          0,
          cursor.end());
    }
  }

  private static void arm(
      Cursor cursor, Scope scope, Step.Parting around, String row, Draft draft) {
    StepReader reader = new StepReader(cursor, scope, draft.ids(), around);
    Step changed =
        switch (around) {
          case Step.Branch branch -> withArm(branch, row, reader);
          case Step.SplitTest split -> withArm(split, row, reader);
        };
    cursor.requireEnd();
    draft.change(changed);
    draft.goTo(row);
  }

  private static Step withArm(Step.Branch branch, String row, StepReader reader) {
    if (branch.otherwise().id().value().equals(row)) {
      throw new NotUnderstood("Everybody else takes this arm; there is nothing to choose.", 0, 0);
    }
    Condition condition = reader.question();
    List<Arm> arms =
        branch.arms().stream()
            .map(
                arm ->
                    arm.id().value().equals(row) ? new Arm(arm.id(), condition, arm.steps()) : arm)
            .toList();
    return new Step.Branch(branch.id(), branch.waitUpTo(), arms, branch.otherwise());
  }

  private static Step withArm(Step.SplitTest split, String row, StepReader reader) {
    double share = reader.share();
    List<SplitArm> arms =
        split.arms().stream()
            .map(
                arm ->
                    arm.id().value().equals(row) ? new SplitArm(arm.id(), share, arm.steps()) : arm)
            .toList();
    return new Step.SplitTest(split.id(), arms);
  }

  private static boolean is(Step step, String row) {
    return step.id().value().equals(row);
  }

  private static boolean hasArm(Step step, String row) {
    return step.ways().stream().map(Way::id).anyMatch(id -> id.value().equals(row));
  }
}
