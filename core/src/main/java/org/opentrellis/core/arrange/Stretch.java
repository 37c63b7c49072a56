package org.opentrellis.core.arrange;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;

/**
 * Neighbouring steps of one sequence.
 *
 * @param sequence all of the sequence that they stand in
 * @param from the first of them
 * @param to behind the last of them
 * @param around the step whose way the sequence is; null for the body
 * @param way that way; null for the body
 */
record Stretch(List<Step> sequence, int from, int to, @Nullable Step around, @Nullable Way way) {

  /**
   * The smallest stretch that covers some rows of the run sheet.
   *
   * @param rows steps and arms
   * @return empty if none of them is in the journey
   */
  static Optional<Stretch> covering(Journey journey, Set<String> rows) {
    return covering(journey.body(), null, null, rows);
  }

  private static Optional<Stretch> covering(
      List<Step> sequence, @Nullable Step around, @Nullable Way way, Set<String> rows) {
    int[] touched =
        IntStream.range(0, sequence.size()).filter(i -> holds(sequence.get(i), rows)).toArray();
    if (touched.length == 0) {
      return Optional.empty();
    }
    Step first = sequence.get(touched[0]);
    if (touched.length == 1 && first.ids().noneMatch(id -> rows.contains(id.value()))) {
      List<Way> inside = first.ways().stream().filter(one -> holds(one, rows)).toList();
      if (inside.size() == 1) {
        return covering(inside.get(0).steps(), first, inside.get(0), rows);
      }
    }
    int last = touched[touched.length - 1];
    return Optional.of(new Stretch(sequence, touched[0], last + 1, around, way));
  }

  private static boolean holds(Way way, Set<String> rows) {
    return way.steps().stream().anyMatch(step -> holds(step, rows));
  }

  private static boolean holds(Step step, Set<String> rows) {
    return step.all().flatMap(Step::ids).map(StepId::value).anyMatch(rows::contains);
  }

  List<Step> steps() {
    return sequence.subList(from, to);
  }

  /** Whether a row is one of these steps, or inside one. */
  boolean has(String row) {
    return steps().stream().anyMatch(step -> holds(step, Set.of(row)));
  }

  Optional<Step> before() {
    return from == 0 ? Optional.empty() : Optional.of(sequence.get(from - 1));
  }

  Optional<Step> after() {
    return to == sequence.size() ? Optional.empty() : Optional.of(sequence.get(to));
  }

  /** The row that they stand below. */
  String below() {
    return before().map(Stretch::rowOf).orElse(way == null ? StepEdits.BEGINNING : rowOf(way));
  }

  /** The row that what stands at the end of a way is below. */
  static String endOf(Way way) {
    List<Step> steps = way.steps();
    return steps.isEmpty() ? rowOf(way) : rowOf(steps.get(steps.size() - 1));
  }

  static String rowOf(Step step) {
    return step.id().value();
  }

  static String rowOf(Way way) {
    return way.id().value();
  }
}
