package org.opentrellis.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WaitTest {
  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  private static final TimeOfDay NINE = TimeOfDay.daily(LocalTime.of(9, 0));

  private static Instant at(String local) {
    return LocalDateTime.parse(local).atZone(BERLIN).toInstant();
  }

  @Test
  void nowCountsIfItFits() {
    assertThat(new Wait.Until(NINE).endsAt(at("2025-06-02T09:00"), BERLIN))
        .isEqualTo(at("2025-06-02T09:00"));
    assertThat(new Wait.Until(NINE).endsAt(at("2025-06-02T09:00").plusSeconds(1), BERLIN))
        .isEqualTo(at("2025-06-03T09:00"));
  }

  @Test
  void theAmountIsAddedFirstThenTheNextMomentThatFits() {
    // Friday 6 June 2025 10:00 + 1 day = Saturday 10:00; next 09:00 on Tue to Sat is Tuesday.
    TimeOfDay tueToSat =
        new TimeOfDay(LocalTime.of(9, 0), EnumSet.range(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY));
    Wait wait = new Wait.For(Amount.of(1, TimeUnit.DAYS), Optional.of(tueToSat));
    assertThat(wait.endsAt(at("2025-06-06T10:00"), BERLIN)).isEqualTo(at("2025-06-10T09:00"));
    assertThat(wait.endsAt(at("2025-06-06T08:00"), BERLIN)).isEqualTo(at("2025-06-07T09:00"));
  }

  @Test
  void aTimeInAGapMovesLaterByTheGap() {
    // 02:30 does not exist in Berlin on 30 March 2025 (JDK tzdb 2025a).
    Wait wait = new Wait.Until(TimeOfDay.daily(LocalTime.of(2, 30)));
    assertThat(wait.endsAt(at("2025-03-29T12:00"), BERLIN)).isEqualTo("2025-03-30T01:30:00Z");
  }

  @Test
  void aTimeOfDayNeedsAWeekday() {
    assertThatThrownBy(() -> new TimeOfDay(LocalTime.NOON, Set.of()))
        .hasMessage("a time of day needs at least one weekday");
  }

  @Test
  void saysItsDays() {
    assertThat(
            new TimeOfDay(LocalTime.of(9, 0), EnumSet.of(DayOfWeek.SATURDAY, DayOfWeek.TUESDAY))
                .inWords())
        .isEqualTo("09:00 on Tue, Sat");
  }
}
