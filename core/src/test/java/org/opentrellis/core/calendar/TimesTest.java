package org.opentrellis.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.BERLIN;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Times of day, send windows and yearly dates. */
class TimesTest {
  private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  private static final ZoneClock CLOCK =
      ZoneClock.around(BERLIN, Instant.parse("2025-06-01T00:00:00Z"), 60);
  private static final TimeOfDay NINE = TimeOfDay.daily(LocalTime.of(9, 0));
  private static final java.util.EnumSet<DayOfWeek> TUE_TO_SAT =
      java.util.EnumSet.range(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY);

  private static long at(String local) {
    return java.time.LocalDateTime.parse(local).atZone(BERLIN).toEpochSecond();
  }

  @Test
  void nowCountsIfItFits() {
    assertThat(NINE.atOrAfter(at("2025-06-02T09:00"), CLOCK)).isEqualTo(at("2025-06-02T09:00"));
    assertThat(NINE.atOrAfter(at("2025-06-02T09:00") + 1, CLOCK)).isEqualTo(at("2025-06-03T09:00"));
  }

  @Test
  void onlyTheWeekdaysNamedFit() {
    // Friday 6 June 2025 10:00; the next 09:00 on Tue to Sat is Saturday's, then Tuesday's.
    TimeOfDay moment = new TimeOfDay(LocalTime.of(9, 0), TUE_TO_SAT);
    assertThat(moment.atOrAfter(at("2025-06-06T10:00"), CLOCK)).isEqualTo(at("2025-06-07T09:00"));
    assertThat(moment.atOrAfter(at("2025-06-07T10:00"), CLOCK)).isEqualTo(at("2025-06-10T09:00"));
    assertThat(moment.inWords()).isEqualTo("09:00 on Tue to Sat");
  }

  @Test
  void aTimeInAGapMovesLaterByTheGap() {
    // 02:30 does not exist in Berlin on 30 March 2025 (JDK tzdb 2025a).
    assertThat(TimeOfDay.daily(LocalTime.of(2, 30)).atOrAfter(at("2025-03-29T12:00"), CLOCK))
        .isEqualTo(Instant.parse("2025-03-30T01:30:00Z").getEpochSecond());
  }

  @Test
  void aTimeOfDayIsToTheMinuteAndOnEveryDayUnlessSomeAreNamed() {
    assertThat(new TimeOfDay(LocalTime.NOON, Set.of())).isEqualTo(TimeOfDay.daily(LocalTime.NOON));
    assertThatThrownBy(() -> TimeOfDay.daily(LocalTime.of(9, 0, 1)))
        .hasMessage("a time of day goes to the minute, not 09:00:01");
  }

  @Test
  void aSendWindowPutsOffToItsNextOpening() {
    SendWindow window = new SendWindow(TUE_TO_SAT, LocalTime.of(8, 0), LocalTime.of(18, 0));
    assertThat(window.atOrAfter(at("2025-06-06T17:59"), CLOCK)).isEqualTo(at("2025-06-06T17:59"));
    assertThat(window.atOrAfter(at("2025-06-06T18:00"), CLOCK)).isEqualTo(at("2025-06-07T08:00"));
    assertThat(window.atOrAfter(at("2025-06-07T19:00"), CLOCK)).isEqualTo(at("2025-06-10T08:00"));
    assertThat(window.atOrAfter(at("2025-06-09T09:00"), CLOCK)).isEqualTo(at("2025-06-10T08:00"));
    assertThat(window.inWords()).isEqualTo("Tue to Sat 08:00 to 18:00");
  }

  @Test
  void aSendWindowMayLastToMidnightButNotEndBeforeItBegins() {
    SendWindow late = new SendWindow(TimeOfDay.EVERY_DAY, LocalTime.of(20, 0), LocalTime.MIDNIGHT);
    assertThat(late.atOrAfter(at("2025-06-06T23:59"), CLOCK)).isEqualTo(at("2025-06-06T23:59"));
    assertThat(late.inWords()).isEqualTo("20:00 to 24:00");
    assertThatThrownBy(
            () -> new SendWindow(TimeOfDay.EVERY_DAY, LocalTime.of(20, 0), LocalTime.of(8, 0)))
        .hasMessage("a send window must end after it begins, not at 08:00 after 20:00");
  }

  /** RFC 5545: 2020-02-29 yearly, with the last day of February in common years, or 1 March. */
  @Test
  void twentyNinthOfFebruary() {
    LocalDate born = LocalDate.parse("2020-02-29");
    assertThat(YearlyDate.inYear(born, 2027, false)).isEqualTo("2027-02-28");
    assertThat(YearlyDate.inYear(born, 2027, true)).isEqualTo("2027-03-01");
    assertThat(YearlyDate.inYear(born, 2028, true)).isEqualTo("2028-02-29");
    assertThat(YearlyDate.nextMoved(born, -30, false, LocalDate.parse("2027-01-29")))
        .isEqualTo("2027-01-29");
    assertThat(YearlyDate.nextMoved(born, -30, false, LocalDate.parse("2027-01-30")))
        .isEqualTo("2028-01-30");
    assertThat(
            YearlyDate.nextMoved(
                LocalDate.parse("2020-01-01"), -30, false, LocalDate.parse("2026-12-01")))
        .isEqualTo("2026-12-02");
  }

  /** The table gives what java.time gives, on every hour of three years in zones with odd rules. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "Europe/Berlin",
        "America/New_York",
        "Australia/Lord_Howe",
        "America/Sao_Paulo",
        "Pacific/Apia",
        "Asia/Kathmandu",
        "UTC"
      })
  void theClockAgreesWithTheJdk(String name) {
    ZoneId zone = ZoneId.of(name);
    Instant start = Instant.parse("2010-06-01T00:00:00Z");
    ZoneClock clock = ZoneClock.around(zone, start, 700);
    for (int hour = -2000; hour < 26_000; hour++) {
      long instant = start.getEpochSecond() + hour * 3600L + 1234;
      var local = Instant.ofEpochSecond(instant).atZone(zone).toLocalDateTime();
      long localSeconds = local.toEpochSecond(ZoneOffset.UTC);
      assertThat(clock.local(instant)).isEqualTo(localSeconds);
      long wall = start.getEpochSecond() + hour * 3600L + 1234;
      assertThat(clock.instant(wall))
          .isEqualTo(
              java.time.LocalDateTime.ofEpochSecond(wall, 0, ZoneOffset.UTC)
                  .atZone(zone)
                  .toEpochSecond());
      int days = Math.floorMod(hour, 41);
      assertThat(clock.plusDays(instant, days))
          .isEqualTo(
              Instant.ofEpochSecond(instant)
                  .atZone(zone)
                  .toLocalDateTime()
                  .plusDays(days)
                  .atZone(zone)
                  .toEpochSecond());
    }
    assertThat(clock.in(BERLIN).zone()).isEqualTo(BERLIN);
  }
}
