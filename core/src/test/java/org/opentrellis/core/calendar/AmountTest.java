package org.opentrellis.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.problem.Refused;

/** Expected instants: the JDK's own tzdb 2025a, confirmed with Python's zoneinfo. */
class AmountTest {
  private static Instant after(Amount amount, Instant start, ZoneId zone) {
    ZoneClock clock = ZoneClock.around(zone, start, 30);
    return Instant.ofEpochSecond(amount.after(start.getEpochSecond(), clock));
  }

  @ParameterizedTest(name = "{0} {1} + {2} {3} = {4}")
  @CsvSource({
    "America/New_York, 2025-03-08T09:00, 1, DAYS, 2025-03-09T09:00-04:00",
    "America/New_York, 2025-03-08T09:00, 24, HOURS, 2025-03-09T10:00-04:00",
    "America/New_York, 2007-03-10T02:30, 1, DAYS, 2007-03-11T03:30-04:00",
    "America/New_York, 2007-11-03T01:30, 1, DAYS, 2007-11-04T01:30-04:00",
    "Europe/Berlin, 2025-03-29T02:30, 1, DAYS, 2025-03-30T03:30+02:00",
    "Australia/Lord_Howe, 2025-10-04T02:15, 1, DAYS, 2025-10-05T02:45+11:00",
    "America/Sao_Paulo, 2018-11-03T00:00, 1, DAYS, 2018-11-04T01:00-02:00",
    "Pacific/Apia, 2011-12-29T10:00, 1, DAYS, 2011-12-31T10:00+14:00",
    "Europe/Berlin, 2025-01-31T09:00, 1, MONTHS, 2025-02-28T09:00+01:00",
    "Europe/Berlin, 2024-02-29T09:00, 4, YEARS, 2028-02-29T09:00+01:00",
    "Europe/Berlin, 2025-06-02T09:00, 2, WEEKS, 2025-06-16T09:00+02:00",
    "Europe/Berlin, 2025-06-02T09:00, 0.5, HOURS, 2025-06-02T09:30+02:00",
    "Europe/Berlin, 2025-06-02T09:00, 90, MINUTES, 2025-06-02T10:30+02:00",
  })
  void calendarUnitsKeepTheWallClockAndExactUnitsDoNot(
      ZoneId zone, LocalDateTime start, double count, TimeUnit unit, OffsetDateTime expected) {
    Instant after = after(Amount.of(count, unit), start.atZone(zone).toInstant(), zone);
    assertThat(after).isEqualTo(expected.toInstant());
  }

  @Test
  void aStepAcrossAGapDependsOnItsAnchor() {
    // 02:30 does not exist on 9 March: day by day ends at 03:30, two days at once at 02:30.
    ZoneId zone = ZoneId.of("America/New_York");
    Instant start = LocalDateTime.parse("2025-03-08T02:30").atZone(zone).toInstant();
    Amount day = Amount.of(1, TimeUnit.DAYS);
    assertThat(after(day, after(day, start, zone), zone).atZone(zone).toLocalTime())
        .hasToString("03:30");
    assertThat(after(Amount.of(2, TimeUnit.DAYS), start, zone).atZone(zone).toLocalTime())
        .hasToString("02:30");
  }

  @Test
  void refusesWhatIsNoAmount() {
    assertThatThrownBy(() -> Amount.of(-1, TimeUnit.DAYS))
        .isInstanceOf(Refused.class)
        .hasMessage("an amount of time must be more than 0, not -1.0");
    assertThatThrownBy(() -> Amount.of(1.5, TimeUnit.DAYS))
        .hasMessage("an amount in days must be a whole number, not 1.5");
    assertThatThrownBy(() -> Amount.of(Double.NaN, TimeUnit.HOURS))
        .hasMessageContaining("must be more than 0");
    assertThatThrownBy(() -> Amount.of(11, TimeUnit.YEARS)).hasMessageContaining("ten years");
  }

  @Test
  void saysItselfInWords() {
    assertThat(Amount.of(1, TimeUnit.DAYS).inWords()).isEqualTo("1 day");
    assertThat(Amount.of(2, TimeUnit.WEEKS).inWords()).isEqualTo("2 weeks");
    assertThat(Amount.of(0.5, TimeUnit.HOURS).inWords()).isEqualTo("0.5 hours");
  }

  /** From Thursday, 4 March 2027; and from the weekend behind it. */
  @ParameterizedTest
  @CsvSource({
    "2027-03-04, 1, 2027-03-05",
    "2027-03-04, 2, 2027-03-08",
    "2027-03-04, 5, 2027-03-11",
    "2027-03-04, 12, 2027-03-22",
    "2027-03-06, 1, 2027-03-08",
    "2027-03-07, 5, 2027-03-12",
    "2027-03-05, 5, 2027-03-12",
  })
  void workingDaysLeaveOutTheWeekend(String from, int count, String to) {
    ZoneClock clock =
        ZoneClock.around(ZoneId.of("Europe/Berlin"), Instant.parse(from + "T12:00:00Z"), 60);
    long start = Instant.parse(from + "T12:00:00Z").getEpochSecond();
    long after = Amount.of(count, TimeUnit.WORKING_DAYS).after(start, clock);
    assertThat(after).isEqualTo(Instant.parse(to + "T12:00:00Z").getEpochSecond());
  }
}
