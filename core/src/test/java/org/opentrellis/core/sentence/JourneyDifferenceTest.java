package org.opentrellis.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.testing.RandomJourneys;

class JourneyDifferenceTest {
  private static List<String> changes(Journey before, Journey after) {
    return JourneyDifference.between(before, after, MESSAGES).stream()
        .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
        .map(line -> line.kind() + " " + line.row())
        .toList();
  }

  @Test
  void linesAreAddedRemovedChangedAndMoved() {
    Journey before = journey(send("a"), tag("t", "x"), tag("u", "y"), tag("v", "z"));
    assertThat(changes(before, journey(send("a"), tag("t", "x"), tag("v", "z"), tag("u", "y"))))
        .hasSize(1)
        .allMatch(line -> line.startsWith("MOVED"));
    assertThat(changes(before, journey(send("a"), tag("t", "other"), tag("w", "n"), tag("v", "z"))))
        .containsExactly("CHANGED t", "ADDED w", "REMOVED u");
    assertThat(changes(before, before.edit().name("Another name").done()))
        .containsExactly("CHANGED name");
  }

  /** What is indented is at another place, even if the order of lines is the same. */
  @Test
  void goingIntoAnArmIsAMove() {
    Journey before =
        journey(send("a"), branch("b", opened("a"), null, List.of(), List.of()), tag("t", "x"));
    Journey after =
        journey(send("a"), branch("b", opened("a"), null, List.of(), List.of(tag("t", "x"))));
    assertThat(changes(before, after)).contains("MOVED t");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void everyLineIsToldOnceAndNothingDiffersFromItself(long seed) {
    Journey one = RandomJourneys.journey(seed, 25);
    Journey two = RandomJourneys.journey(seed + 100, 25);
    assertThat(JourneyDifference.between(one, one, RandomJourneys.CATALOGUE))
        .allMatch(line -> line.kind() == DifferenceLine.Kind.SAME);
    List<DifferenceLine> lines = JourneyDifference.between(one, two, RandomJourneys.CATALOGUE);
    assertThat(lines.stream().map(DifferenceLine::row)).doesNotHaveDuplicates();
    assertThat(lines.stream().filter(line -> line.after() != null).map(DifferenceLine::after))
        .containsAll(
            RunSheet.of(two, RandomJourneys.CATALOGUE).rules().stream()
                .map(rule -> rule.typed().text())
                .toList());
  }
}
