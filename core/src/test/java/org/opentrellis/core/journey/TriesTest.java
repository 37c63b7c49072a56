package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.clicked;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.TimeUnit;

class TriesTest {
  private static List<List<String>> tries(Journey journey) {
    return Tries.of(journey).stream()
        .map(chain -> chain.stream().map(StepId::value).toList())
        .toList();
  }

  @Test
  void anEmailOnlyForThoseWhoOpenedNoneIsAnotherTry() {
    Condition none = new Condition.None(List.of(opened("a")));
    Condition neither = new Condition.None(List.of(opened("a"), opened("b")));
    Journey journey =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            send("b").edit().onlyIf(Optional.of(none)).done(),
            pause("v", 2, TimeUnit.DAYS),
            send("c").edit().onlyIf(Optional.of(neither)).done(),
            send("d"));
    assertThat(tries(journey)).containsExactly(List.of("a", "b", "c"));
  }

  @Test
  void theFirstEmailOnTheArmOfThoseWhoDidNotOpenIsAnotherTry() {
    Journey journey =
        journey(
            send("a"),
            branch("x", opened("a"), null, List.of(send("b")), List.of(send("c"), send("d"))),
            send("e"));
    assertThat(tries(journey)).containsExactly(List.of("a", "c"));
  }

  @Test
  void notHavingClickedIsNoOtherTry() {
    Journey journey =
        journey(send("a"), branch("x", clicked("a"), null, List.of(send("b")), List.of(send("c"))));
    assertThat(tries(journey)).isEmpty();
  }
}
