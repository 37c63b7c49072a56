package org.opentrellis.core.pressure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FrequencyGuard.Then;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.reading.Plan;
import org.opentrellis.core.testing.RandomJourneys;

class PressureTrialTest {
  private static final int PEOPLE = 400;
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  /** Three emails within one hour: nobody has left by then but by unsubscribing at once. */
  private static final Journey THREE =
      Plan.read(
              """
              welcome: Three at once
              Starts when someone joins list "All"
              Send email "A"
              Send email "B"
              Send email "C"
              """)
          .journey();

  private static PressureTrial trial(Pressure pressure, Journey... journeys) {
    return PressureTrial.of(
        List.of(journeys),
        Catalogue.EMPTY,
        List.of(journeys).stream().map(one -> TypicalBehaviour.in(ZoneOffset.UTC)).toList(),
        pressure,
        PEOPLE,
        START,
        Effort.of(1));
  }

  /** Counted by hand: of three emails at once, one or two go out, and the rest is left out. */
  @Test
  void whatIsTooMuchIsLeftOut() {
    PressureTrial one = trial(new Pressure(1, List.of(), Then.SKIP), THREE);
    // Whose address is dead gets the first, and leaves.
    long alive = one.tooMuch();
    assertThat(alive).isBetween((long) (0.95 * PEOPLE), (long) PEOPLE);
    assertThat(one.emailsWithout()).isEqualTo(3 * alive + (PEOPLE - alive));
    assertThat(one.emailsWith()).isEqualTo(PEOPLE);
    assertThat(one.leftOut()).isEqualTo(2 * alive);
    assertThat(one.nobodyThere()).isZero();
    PressureTrial two = trial(new Pressure(2, List.of(), Then.SKIP), THREE);
    assertThat(two.emailsWith()).isEqualTo(2 * alive + (PEOPLE - alive));
    assertThat(two.leftOut()).isEqualTo(alive);
  }

  @Test
  void whatWaitsGoesOutOrNobodyIsThereForItAnyMore() {
    PressureTrial trial = trial(new Pressure(1, List.of(), Then.HOLD), THREE);
    assertThat(trial.leftOut()).isZero();
    assertThat(trial.waited()).isPositive();
    assertThat(trial.emailsWith() + trial.stillWait() + trial.nobodyThere())
        .isEqualTo(trial.emailsWithout());
    assertThat(trial.nobodyThere()).isLessThan(PEOPLE / 10);
  }

  /** With room for all, nothing is different, and nothing is called a difference. */
  @Test
  void withRoomForAllItCostsAndSavesNothing() {
    Pressure ample = new Pressure(50, List.of(), Then.HOLD);
    Journey random = RandomJourneys.journey(7, 12);
    PressureTrial trial = trial(ample, THREE, random);
    assertThat(trial.emailsWith()).isEqualTo(trial.emailsWithout());
    assertThat(trial.tooMuch()).isZero();
    assertThat(trial.goals().onlyFirst() + trial.goals().onlySecond()).isZero();
    assertThat(PressureWords.says(trial, ample).toString())
        .contains("0 (0.0%) get more than 50 emails")
        .contains("could be chance");
  }

  @Test
  void itIsSaidInOneSentence() {
    assertThat(PressureWords.says(new Pressure(3, List.of(), Then.SKIP)))
        .isEqualTo(
            "Nobody gets more than 3 emails within seven days. When there is room for some only, what is for welcome goes first, then nurture, cart, date-based, newsletter, other; the rest is left out.");
  }
}
