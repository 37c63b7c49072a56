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
    Inside there = new Inside(inside, 0, false);
    return StateChange.of(journey(send("a")).edit().state(from).done(), MESSAGES, there).stream()
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

  @Test
  void whoeverEditsAnOpenJourneySaysWhatBecomesOfThoseInside() {
    Journey open = journey(send("a")).edit().state(JourneyState.OPEN).done();
    assertThat(StateChange.of(open, MESSAGES, new Inside(12, 0, false)))
        .extracting(StateChange::to)
        .containsExactly(JourneyState.CLOSING, JourneyState.STOPPED);
    StateChange edited = StateChange.of(open, MESSAGES, new Inside(12, 1, true)).get(0);
    assertThat(edited.to()).isEqualTo(JourneyState.OPEN);
    assertThat(edited.goOn())
        .isEqualTo(
            "The 12 people inside go on with the new plan from the step where they stand."
                + " 1 of them stands at a step that is gone, and goes on at what came after it.");
    assertThat(edited.finishBegun())
        .isEqualTo("The 12 people inside finish on the plan that they began.");
  }

  @ParameterizedTest
  @EnumSource(JourneyState.class)
  void nothingLeadsFromAStateToItself(JourneyState state) {
    Journey plan = journey(send("a")).edit().state(state).done();
    assertThat(StateChange.of(plan, MESSAGES, Inside.NOBODY))
        .isNotEmpty()
        .extracting(StateChange::to)
        .doesNotContain(state);
  }

  @Test
  void aStateSaysHowManyAreInside() {
    assertThat(StateWords.of(JourneyState.OPEN, new Inside(1, 0, false)).sentence())
        .isEqualTo("People enter. 1 is inside now.");
    assertThat(StateWords.of(JourneyState.OPEN, new Inside(2000, 0, true)).sentence())
        .contains("not in effect")
        .endsWith("2,000 are inside now.");
    assertThat(StateWords.of(JourneyState.CLOSING, new Inside(3, 0, false)).sentence())
        .isEqualTo("Nobody new enters. The 3 people inside go on to the end.");
  }
}
