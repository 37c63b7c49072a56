package org.opentrellis.app.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;

/**
 * A rule that is tried makes a journey send less, never more, and leaves the rest of it as it is.
 */
class MailRuleTest {
  private static final Journey JOURNEY = Journey.empty("First frames", Purpose.WELCOME);

  private static Journey with(SendWindow window) {
    return JOURNEY.edit().sendWindow(Optional.of(window)).done();
  }

  @Test
  void aGuardIsPutInAndNoneIsReplaced() {
    Journey guarded = MailRule.GUARD.in(JOURNEY, DayOfWeek.MONDAY).orElseThrow();
    assertThat(guarded.frequencyGuard())
        .contains(new FrequencyGuard(1, 1, FrequencyGuard.Then.HOLD, false));
    assertThat(guarded.edit().frequencyGuard(Optional.empty()).done()).isEqualTo(JOURNEY);
    Journey stricter =
        JOURNEY
            .edit()
            .frequencyGuard(Optional.of(new FrequencyGuard(1, 7, FrequencyGuard.Then.SKIP, true)))
            .done();
    assertThat(MailRule.GUARD.in(stricter, DayOfWeek.MONDAY)).isEmpty();
    assertThat(MailRule.GUARD.in(guarded, DayOfWeek.MONDAY)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(DayOfWeek.class)
  void aWindowLosesOneDayAndKeepsItsHours(DayOfWeek day) {
    Set<DayOfWeek> others = EnumSet.complementOf(EnumSet.of(day));
    assertThat(MailRule.WINDOW.in(JOURNEY, day).orElseThrow().sendWindow())
        .contains(new SendWindow(others, LocalTime.MIDNIGHT, LocalTime.MIDNIGHT));
    LocalTime from = LocalTime.of(8, 0);
    LocalTime to = LocalTime.of(18, 30);
    Journey daytime = with(new SendWindow(Set.of(), from, to));
    Journey less = MailRule.WINDOW.in(daytime, day).orElseThrow();
    assertThat(less.sendWindow()).contains(new SendWindow(others, from, to));
    assertThat(MailRule.WINDOW.in(less, day)).as("it sends nothing then already").isEmpty();
  }

  @Test
  void aJourneyIsNeverLeftWithoutADay() {
    Journey mondays =
        with(new SendWindow(Set.of(DayOfWeek.MONDAY), LocalTime.MIDNIGHT, LocalTime.NOON));
    assertThat(MailRule.WINDOW.in(mondays, DayOfWeek.MONDAY)).isEmpty();
  }
}
