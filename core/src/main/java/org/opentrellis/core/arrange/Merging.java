package org.opentrellis.core.arrange;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyEdit;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.sentence.RunSheet;

/** Puts two versions of a journey together: theirs, but for the rows that are to be as in ours. */
public final class Merging {
  private final Journey ours;
  private final Set<String> rows;
  private Journey merged;

  private Merging(Journey theirs, Journey ours, Set<String> rows) {
    this.merged = theirs;
    this.ours = ours;
    this.rows = rows;
  }

  /**
   * Theirs with some rows as they are in ours: said as there, standing where they stand there, or
   * gone if they are not there.
   *
   * @param rows steps, arms and lines about the journey, as a difference between the two names them
   */
  public static Journey of(Journey theirs, Journey ours, Set<String> rows, Catalogue catalogue) {
    boolean all =
        JourneyDifference.between(theirs, ours, catalogue).stream()
            .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
            .allMatch(line -> rows.contains(line.row()));
    return all ? ours.edit().state(theirs.state()).done() : new Merging(theirs, ours, rows).merge();
  }

  private Journey merge() {
    lines();
    ours.steps().filter(this::chosen).forEach(this::takeOver);
    List<Step> gone =
        merged.steps().filter(step -> chosen(step) && find(ours, step.id()).isEmpty()).toList();
    gone.forEach(
        step ->
            merged =
                StepEdits.replace(
                    merged,
                    step.id(),
                    old -> old.ways().stream().flatMap(way -> way.steps().stream()).toList()));
    return merged;
  }

  private void lines() {
    JourneyEdit edit = merged.edit();
    if (rows.contains(JourneyDifference.NAME)) {
      edit.name(ours.name()).purpose(ours.purpose());
    }
    if (rows.contains(RunSheet.OPENING)) {
      edit.triggers(ours.triggers()).entryFilter(ours.entryFilter()).reEntry(ours.reEntry());
    }
    if (rows.stream().anyMatch(row -> row.startsWith(RunSheet.LEAVE))) {
      edit.leaveWhen(ours.leaveWhen());
    }
    if (rows.contains(RunSheet.GOAL)) {
      edit.goal(ours.goal());
    }
    if (rows.stream().anyMatch(row -> row.startsWith(RunSheet.SECONDARY_GOAL))) {
      edit.secondaryGoals(ours.secondaryGoals());
    }
    if (rows.contains(RunSheet.WINDOW)) {
      edit.sendWindow(ours.sendWindow());
    }
    if (rows.contains(RunSheet.ZONE)) {
      edit.zone(ours.zone());
    }
    if (rows.contains(RunSheet.GUARD)) {
      edit.frequencyGuard(ours.frequencyGuard());
    }
    if (rows.contains(RunSheet.SENDER)) {
      edit.sender(ours.sender());
    }
    merged = edit.done();
  }

  /** A step is chosen with any of its arms: what an arm asks is said by the step. */
  private boolean chosen(Step step) {
    return step.ids().anyMatch(id -> rows.contains(id.value()));
  }

  private void takeOver(Step our) {
    Optional<Step> their = find(merged, our.id());
    List<List<Step>> inside = our.ways().stream().map(way -> stepsIn(way, their)).toList();
    Step step = our.withWays(inside);
    String below = below(ours, our, merged);
    if (their.isPresent() && below.equals(below(merged, their.get(), ours))) {
      merged = StepEdits.change(merged, our.id(), old -> step);
      return;
    }
    if (their.isPresent()) {
      merged = StepEdits.without(merged, Set.of(our.id()));
    }
    merged = StepEdits.insert(merged, below, List.of(step));
  }

  /** What stays in an arm: what they have there. */
  private static List<Step> stepsIn(Way way, Optional<Step> their) {
    return their.stream()
        .flatMap(step -> step.ways().stream())
        .filter(one -> one.id().equals(way.id()))
        .flatMap(one -> one.steps().stream())
        .toList();
  }

  /** The row that a step comes below: the nearest one above it that is in the other, too. */
  private static String below(Journey in, Step step, Journey other) {
    Set<StepId> inside = step.all().map(Step::id).collect(Collectors.toSet());
    String row = belowIn(in, step.id());
    while (!row.equals(StepEdits.BEGINNING) && !isThere(row, inside, other)) {
      StepId id = new StepId(row);
      row = belowIn(in, find(in, id).isPresent() ? id : around(in, id).id());
    }
    return row;
  }

  private static boolean isThere(String row, Set<StepId> inside, Journey journey) {
    return journey
        .steps()
        .filter(step -> !inside.contains(step.id()))
        .flatMap(Step::ids)
        .anyMatch(id -> id.value().equals(row));
  }

  private static Step around(Journey journey, StepId way) {
    return journey
        .steps()
        .filter(step -> step.ways().stream().anyMatch(one -> one.id().equals(way)))
        .findFirst()
        .orElseThrow();
  }

  private static String belowIn(Journey journey, StepId step) {
    return Stretch.covering(journey, Set.of(step.value())).orElseThrow().below();
  }

  private static Optional<Step> find(Journey journey, StepId id) {
    return journey.steps().filter(step -> step.id().equals(id)).findFirst();
  }
}
