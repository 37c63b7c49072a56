package org.opentrellis.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.send;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;

class StateChangeTest {
  private static String sentence(JourneyState from, JourneyState to, long inside) {
    return StateChange.of(journey(send("a")).edit().state(from).done(), MESSAGES, inside).stream()
        .filter(change -> change.to() == to)
        .findFirst()
        .orElseThrow()
        .sentence();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "0|Nobody new enters. Nobody is inside, so nothing more will be sent.",
        "1|Nobody new enters. The 1 person inside goes on to the end.",
        "2300|Nobody new enters. The 2,300 people inside go on to the end.",
      })
  void closingLetsThoseInsideGoOn(long inside, String said) {
    assertThat(sentence(JourneyState.OPEN, JourneyState.CLOSING, inside)).isEqualTo(said);
  }

  @Test
  void stoppingTakesThemOut() {
    assertThat(sentence(JourneyState.CLOSING, JourneyState.STOPPED, 1))
        .isEqualTo("Nobody enters any more. The 1 person inside leaves now and gets nothing more.");
    assertThat(sentence(JourneyState.OPEN, JourneyState.STOPPED, 12))
        .endsWith("The 12 people inside leave now and get nothing more.");
  }

  @Test
  void openingAgainSaysThatThoseInsideGoOn() {
    assertThat(sentence(JourneyState.CLOSING, JourneyState.OPEN, 3))
        .endsWith("The 3 people inside go on as before.");
  }

  /** Where nothing runs, nothing promises entries that cannot happen. */
  @ParameterizedTest
  @EnumSource(JourneyState.class)
  void aPlanPromisesNobodyAnything(JourneyState state) {
    PlannedState words = PlannedState.of(state);
    assertThat(words.sentence()).contains("do not run here yet");
    Journey plan = journey(send("a")).edit().state(state).done();
    assertThat(StateChange.ofPlan(plan, MESSAGES))
        .isNotEmpty()
        .allSatisfy(
            change ->
                assertThat(change.sentence()).doesNotContain("From now on").doesNotContain("leave"))
        .extracting(StateChange::to)
        .doesNotContain(state)
        .isEqualTo(StateChange.of(plan, MESSAGES, 0).stream().map(StateChange::to).toList());
  }
}
