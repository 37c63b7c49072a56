package org.opentrellis.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.opentrellis.core.calendar.Reach.Span;

class ReachTest {
  private static final List<ZoneId> ZONES =
      List.of(
          ZoneId.of("Europe/Berlin"),
          ZoneId.of("America/New_York"),
          ZoneId.of("Australia/Lord_Howe"),
          ZoneId.of("Asia/Kathmandu"));

  /**
   * Around changes of clocks and the ends of months; what lies in a span reaches, and nothing else.
   */
  @ParameterizedTest
  @EnumSource(TimeUnit.class)
  void whatLiesInASpanReachesAndNothingElse(TimeUnit unit) {
    SplittableRandom random = new SplittableRandom(unit.ordinal());
    for (int round = 0; round < 60; round++) {
      ZoneId zone = ZONES.get(random.nextInt(ZONES.size()));
      String day =
          List.of("2027-03-29", "2027-11-01", "2027-04-05", "2027-03-01").get(random.nextInt(4));
      long at =
          Instant.parse(day + "T02:30:00Z").getEpochSecond() + random.nextInt(-90_000, 90_000);
      ZoneClock clock =
          ZoneClock.around(zone, Instant.ofEpochSecond(at - 900L * ZoneClock.DAY), 1_000);
      Amount amount = Amount.of(1 + random.nextInt(unit.nominalSeconds() > 200_000 ? 2 : 5), unit);
      List<Span> spans = Reach.to(at, amount, clock);
      assertThat(spans.getLast().to()).isEqualTo(at);
      long nominal = Math.round(amount.nominalHours() * 3600);
      for (int n = 0; n < 3_000; n++) {
        long moment =
            n < 1_000
                ? at - random.nextLong(nominal + 1)
                : at - nominal + random.nextLong(-6L * ZoneClock.DAY, 6L * ZoneClock.DAY);
        if (moment > at) {
          continue;
        }
        boolean in = spans.stream().anyMatch(one -> one.from() <= moment && moment <= one.to());
        assertThat(in)
            .as("%s before %d in %s: %s", amount.inWords(), at, zone, Instant.ofEpochSecond(moment))
            .isEqualTo(amount.after(moment, clock) >= at);
      }
    }
  }

  @ParameterizedTest
  @EnumSource(TimeUnit.class)
  void spansAreInOrderAndApart(TimeUnit unit) {
    long at = Instant.parse("2027-04-01T01:10:07Z").getEpochSecond();
    ZoneClock clock =
        ZoneClock.around(ZONES.get(0), Instant.ofEpochSecond(at - 400L * ZoneClock.DAY), 500);
    List<Span> spans = Reach.to(at, Amount.of(1, unit), clock);
    for (int i = 1; i < spans.size(); i++) {
      assertThat(spans.get(i).from()).isGreaterThan(spans.get(i - 1).to() + 1);
    }
    assertThat(spans).allMatch(one -> one.from() <= one.to());
  }
}
