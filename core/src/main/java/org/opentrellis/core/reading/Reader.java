package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SentAbove;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.sentence.Library;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.sentence.Sentences;

/** Reads sentences about one journey. */
public final class Reader {
  private final Journey journey;
  private final Catalogue catalogue;
  private final List<String> otherJourneys;
  private final KnownNames known;
  private final Library library;

  /**
   * @param known the names in use, this journey's too
   */
  public Reader(
      Journey journey, Catalogue catalogue, List<String> otherJourneys, KnownNames known) {
    this.journey = journey;
    this.catalogue = catalogue;
    this.otherJourneys = otherJourneys;
    this.known = known;
    this.library = new Library(Strands.expand(journey, catalogue), catalogue);
  }

  /**
   * Reads a sentence that adds something: a step below a row, or a line about the journey.
   *
   * @param below a step or arm, or {@link RunSheet#OPENING} for the beginning; the end of the body
   *     if there is no such row
   * @param caret where completions are wanted
   */
  public Reading add(String below, String text, int caret) {
    return read(text, caret, cursor -> added(cursor, below));
  }

  /**
   * Reads a sentence that takes the place of a row's.
   *
   * @param row a step, an arm or a line about the journey
   */
  public Reading replace(String row, String text, int caret) {
    return read(text, caret, cursor -> replaced(cursor, row));
  }

  /** Reads one sentence. */
  @FunctionalInterface
  private interface Rule {
    Reading.Understood read(Cursor cursor);
  }

  private Reading read(String text, int caret, Rule rule) {
    Reading.Result result;
    try {
      result = rule.read(new Cursor(text));
    } catch (NotUnderstood problem) {
      result = refusal(problem);
    }
    return new Reading(result, completions(text.substring(0, caret), rule));
  }

  private static Reading.Refused refusal(NotUnderstood problem) {
    Optional<Reading.Missing> missing =
        problem.missingMessage.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Reading.Missing(
                    problem.missingMessage, problem.sentence().startsWith("No text")));
    return new Reading.Refused(problem.sentence(), problem.from, problem.to, missing);
  }

  private static List<Completion> completions(String begun, Rule rule) {
    Cursor cursor = new Cursor(begun);
    try {
      rule.read(cursor);
    } catch (NotUnderstood unfinished) {
      // what could have stood at the end is known all the same
    }
    return cursor.completions();
  }

  private Reading.Understood added(Cursor cursor, String below) {
    Scope scope = scope(below);
    RuleReader.Line line = new RuleReader(cursor, scope, journey, "").read();
    if (line != null) {
      cursor.requireEnd();
      return understood(line);
    }
    Step step = new StepReader(cursor, scope, new FreshIds(journey), null).read();
    if (step == null) {
      throw cursor.lost();
    }
    cursor.requireEnd();
    Journey after = StepEdits.insert(journey, below, List.of(step));
    return understood(after, step.id().value());
  }

  private Reading.Understood replaced(Cursor cursor, String row) {
    Optional<Step> step = journey.steps().filter(one -> is(one, row)).findFirst();
    Scope scope = scope(row);
    scope.above().removeIf(send -> is(send, row));
    if (step.isPresent()) {
      Step changed = new StepReader(cursor, scope, new FreshIds(journey), step.get()).read();
      if (changed == null) {
        throw cursor.lost();
      }
      cursor.requireEnd();
      requireWaysKept(step.get(), changed, cursor);
      Journey after = StepEdits.change(journey, step.get().id(), old -> changed);
      return understood(after, row);
    }
    Optional<Step> around = journey.steps().filter(one -> hasArm(one, row)).findFirst();
    if (around.isPresent()) {
      return arm(cursor, scope, (Step.Parting) around.get(), row);
    }
    RuleReader.Line line = new RuleReader(cursor, scope, journey, row).read();
    if (line == null) {
      throw cursor.lost();
    }
    cursor.requireEnd();
    return understood(line);
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

  private Reading.Understood arm(Cursor cursor, Scope scope, Step.Parting around, String row) {
    StepReader reader = new StepReader(cursor, scope, new FreshIds(journey), around);
    Step changed =
        switch (around) {
          case Step.Branch branch -> withArm(branch, row, reader);
          case Step.SplitTest split -> withArm(split, row, reader);
        };
    cursor.requireEnd();
    return understood(StepEdits.change(journey, around.id(), old -> changed), row);
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

  private Reading.Understood understood(RuleReader.Line line) {
    RunSheet sheet = RunSheet.of(line.journey(), catalogue);
    Phrase said =
        sheet
            .lines()
            .filter(one -> one.id().equals(line.id()))
            .findFirst()
            .map(RunSheet.Line::sentence)
            .orElse(Phrase.NOTHING);
    return new Reading.Understood(line.journey(), line.id(), List.of(said));
  }

  private Reading.Understood understood(Journey after, String row) {
    Sentences sentences = new Sentences(after, catalogue);
    List<Phrase> said =
        after
            .steps()
            .filter(step -> is(step, row) || hasArm(step, row))
            .map(step -> is(step, row) ? sentences.step(step) : armOf(sentences, step, row))
            .toList();
    return new Reading.Understood(after, row, said);
  }

  private static Phrase armOf(Sentences sentences, Step step, String arm) {
    return sentences.asked((Step.Parting) step, new StepId(arm)).orElse(Phrase.NOTHING);
  }

  private static boolean is(Step step, String row) {
    return step.id().value().equals(row);
  }

  private static boolean hasArm(Step step, String row) {
    return step.ways().stream().map(Way::id).anyMatch(id -> id.value().equals(row));
  }

  /** What can be spoken of at a row: what stands above it has been sent. */
  private Scope scope(String row) {
    List<Step.Send> above = new ArrayList<>();
    boolean found = SentAbove.collect(Strands.expand(journey, catalogue).body(), row, above);
    if (!found && row.equals(RunSheet.OPENING)) {
      above.clear();
    }
    return new Scope(library, known, otherJourneys, above);
  }
}
