package org.opentrellis.core.reading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.SentAbove;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.sentence.Library;
import org.opentrellis.core.sentence.RunSheet;

/** A journey as far as a text about it has been read, and the place where it goes on. */
final class Draft {
  private final Written written;
  private final List<String> otherJourneys;
  private final KnownNames known;
  private final LocalDate today;
  private final Set<String> rows = new LinkedHashSet<>();
  private Journey journey;
  private String below;
  private String outer;
  private String selected;

  /** Looked at anew once the journey or the place is another. */
  private @Nullable Scope scope;

  Draft(
      Journey journey,
      Catalogue catalogue,
      List<String> otherJourneys,
      KnownNames known,
      LocalDate today,
      String below) {
    this.journey = journey;
    this.written = new Written(catalogue);
    this.otherJourneys = otherJourneys;
    this.known = known;
    this.today = today;
    this.below = below;
    this.outer = below;
    this.selected = below;
  }

  Journey journey() {
    return journey;
  }

  Written written() {
    return written;
  }

  /** The row that comes next below: a step, an arm, {@code journey} for the beginning. */
  String below() {
    return below;
  }

  /** The last row that was added, and not what is inside it. */
  String outer() {
    return outer;
  }

  /** What was read last is about it. */
  String selected() {
    return selected;
  }

  /** The rows and lines that were read, in order. */
  Set<String> rows() {
    return rows;
  }

  FreshIds ids() {
    return new FreshIds(journey);
  }

  /** What can be spoken of at the place: what stands above it has been sent. */
  Scope scope() {
    if (scope == null) {
      scope = look();
    }
    return scope;
  }

  private Scope look() {
    Catalogue catalogue = written.catalogue();
    Journey expanded = Strands.expand(journey, catalogue);
    List<Step.Send> above = new ArrayList<>();
    boolean found = SentAbove.collect(expanded.body(), below, above);
    if (!found && below.equals(RunSheet.OPENING)) {
      above.clear();
    }
    return new Scope(
        new Library(expanded, catalogue), written, known, otherJourneys, above, false, today);
  }

  /** Adds a step at the place; the next comes below it. */
  void add(Step step) {
    add(step, step.id().value());
  }

  /**
   * @param next what comes next below, such as an arm of the step
   */
  void add(Step step, String next) {
    journey = StepEdits.insert(journey, below, List.of(step));
    scope = null;
    step.all().map(one -> one.id().value()).forEach(rows::add);
    outer = step.id().value();
    below = next;
    selected = outer;
  }

  /** Puts another step in the place of one that is there. */
  void change(Step step) {
    journey = StepEdits.change(journey, step.id(), old -> step);
    scope = null;
    rows.add(step.id().value());
    selected = step.id().value();
    below = selected;
  }

  /** Takes a line about the journey; the place stays. */
  void line(RuleReader.Line line) {
    journey = line.journey();
    scope = null;
    rows.add(line.id());
    selected = line.id();
  }

  /** Goes on elsewhere. */
  void goTo(String row) {
    goBelow(row);
    selected = row;
    rows.add(row);
  }

  /** Goes on below a row that was left before, where lines are indented. */
  void goBelow(String row) {
    below = row;
    scope = null;
  }

  Optional<Step> step(String id) {
    return journey.steps().filter(one -> one.id().value().equals(id)).findFirst();
  }

  /**
   * Where a place stands.
   *
   * @param step around it, or the place itself
   * @param way which of its ways the place is in, or -1 if it is the step itself
   */
  record Around(Step step, int way) {}

  /** The steps with ways that a place is in, the innermost first. */
  List<Around> around() {
    List<Around> found = new ArrayList<>();
    String place = step(below).isEmpty() && !isArm(below) ? lastOf(journey.body()) : below;
    collect(journey.body(), place, found);
    return found;
  }

  private boolean isArm(String row) {
    return journey.steps().flatMap(step -> step.ways().stream()).anyMatch(way -> is(way, row));
  }

  private static boolean is(Way way, String row) {
    return way.id().value().equals(row);
  }

  private static String lastOf(List<Step> steps) {
    return steps.isEmpty() ? RunSheet.OPENING : steps.getLast().id().value();
  }

  private static boolean collect(List<Step> steps, String place, List<Around> found) {
    for (Step step : steps) {
      if (step.id().value().equals(place)) {
        if (!step.ways().isEmpty()) {
          found.add(new Around(step, -1));
        }
        return true;
      }
      for (int i = 0; i < step.ways().size(); i++) {
        Way way = step.ways().get(i);
        if (is(way, place) || collect(way.steps(), place, found)) {
          found.add(new Around(step, i));
          return true;
        }
      }
    }
    return false;
  }

  /** Goes on in a way of a step: behind what is in it. */
  void goInto(Step step, int way) {
    Way chosen = step.ways().get(way);
    goTo(chosen.id().value());
    if (!chosen.steps().isEmpty()) {
      goBelow(lastOf(chosen.steps()));
    }
  }

  /** Goes on below a step with ways, where they have come together again. */
  void goBehind(Step step) {
    goBelow(step.id().value());
    selected = below;
  }
}
