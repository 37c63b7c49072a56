package org.opentrellis.core.arrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.testing.RandomJourneys;

class MergingTest {
  private static final Journey BASE =
      journey(
          send("a"),
          tag("t", "x"),
          branch("b", opened("a"), null, List.of(tag("c", "1")), List.of(tag("d", "2"))),
          tag("z", "end"));

  private static String ids(Journey journey) {
    return journey.steps().map(step -> step.id().value()).collect(Collectors.joining(" "));
  }

  private static Set<String> different(Journey theirs, Journey ours) {
    return JourneyDifference.between(theirs, ours, RandomJourneys.CATALOGUE).stream()
        .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
        .map(DifferenceLine::row)
        .collect(Collectors.toSet());
  }

  @Test
  void bothSidesEditsAreKept() {
    Journey theirs = StepEdits.insert(BASE, "a", List.of(tag("new", "n")));
    Journey ours =
        StepEdits.change(
            StepEdits.without(BASE, Set.of(tag("z", "end").id())),
            tag("t", "x").id(),
            old -> tag("t", "changed"));
    Journey merged = Merging.of(theirs, ours, Set.of("t", "z"), RandomJourneys.CATALOGUE);
    assertThat(ids(merged)).isEqualTo("a new t b c d");
    assertThat(merged.steps().filter(step -> step.id().value().equals("t")).findFirst())
        .contains(tag("t", "changed"));
  }

  @Test
  void aBranchThatIsGoneOnOneSideLeavesWhatTheOtherWantsOfIt() {
    Journey ours = journey(send("a"), tag("t", "x"), tag("z", "end"));
    assertThat(ids(Merging.of(BASE, ours, Set.of("b", "c"), RandomJourneys.CATALOGUE)))
        .isEqualTo("a t d z");
    assertThat(ids(Merging.of(ours, BASE, Set.of("b", "d"), RandomJourneys.CATALOGUE)))
        .isEqualTo("a t b d z");
  }

  static LongStream seeds() {
    return LongStream.range(0, 60);
  }

  /** Nothing chosen is theirs; everything chosen is ours; a part of it is always a journey. */
  @ParameterizedTest
  @MethodSource("seeds")
  void allOrNothingIsOneOfTheTwo(long seed) {
    Journey theirs = RandomJourneys.journey(seed, 20);
    Journey ours = edited(theirs, new Random(seed));
    assertThat(Merging.of(theirs, ours, Set.of(), RandomJourneys.CATALOGUE)).isEqualTo(theirs);
    Set<String> all = different(theirs, ours);
    assertThat(different(ours, Merging.of(theirs, ours, all, RandomJourneys.CATALOGUE))).isEmpty();
    Set<String> some = new HashSet<>();
    Random random = new Random(seed + 1);
    all.stream().filter(row -> random.nextBoolean()).forEach(some::add);
    Journey merged = Merging.of(theirs, ours, some, RandomJourneys.CATALOGUE);
    assertThat(merged.steps().map(Step::id)).doesNotHaveDuplicates();
  }

  /** What somebody may do to a journey: copy, take out, move. */
  private static Journey edited(Journey journey, Random random) {
    Journey now = journey;
    for (int i = 0; i < 6; i++) {
      List<String> rows = now.steps().map(step -> step.id().value()).toList();
      if (rows.isEmpty()) {
        return now;
      }
      Set<String> row = Set.of(rows.get(random.nextInt(rows.size())));
      Arranging arranging = new Arranging(now, RandomJourneys.CATALOGUE);
      Arranged arranged =
          switch (random.nextInt(4)) {
            case 0 -> arranging.remove(row);
            case 1 -> arranging.duplicate(row);
            case 2 -> arranging.up(row);
            default -> arranging.down(row);
          };
      now = arranged instanceof Arranged.Done done ? done.journey() : now;
    }
    return now;
  }
}
