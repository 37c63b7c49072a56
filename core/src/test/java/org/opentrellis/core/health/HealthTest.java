package org.opentrellis.core.health;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.health.WeekOfMail.Loss;

class HealthTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 9, 7);

  private static WeekOfMail week(int number, long sent, long bounced, long complained) {
    return new WeekOfMail(MONDAY.plusWeeks(number), sent, bounced, complained, 0);
  }

  /** Newcombe 1998, Statistics in Medicine 17:857-872, table I, method 3: 15 of 148. */
  @Test
  void theBandIsWilsons() {
    WeeksHealth.Rate rate = WeeksHealth.rate(week(0, 148, 15, 0), Loss.BOUNCED).orElseThrow();
    assertThat(rate.band().low()).isCloseTo(0.0624, Offset.offset(0.0001));
    assertThat(rate.band().high()).isCloseTo(0.1605, Offset.offset(0.0001));
    assertThat(WeeksHealth.rate(week(0, 0, 0, 0), Loss.BOUNCED)).isEmpty();
  }

  @Test
  void aWeekThatStandsOutIsNamedWithItsFigure() {
    List<WeekOfMail> weeks = new ArrayList<>();
    for (int n = 0; n < 8; n++) {
      weeks.add(week(n, 1_000, n == 5 ? 48 : 10, 0));
    }
    assertThat(new WeeksHealth(weeks).says())
        .containsExactly(
            "In the week of 12 October 4.8% of the emails came back, in the other weeks 1.0%: more than chance explains.");
  }

  /** Of weeks that differ by chance alone, hardly any stands out: 5% of accounts at most. */
  @Test
  void chanceIsNotCalledADifference() {
    SplittableRandom random = new SplittableRandom(11);
    int called = 0;
    for (int account = 0; account < 1_000; account++) {
      List<WeekOfMail> weeks = new ArrayList<>();
      for (int n = 0; n < 12; n++) {
        int bounced = 0;
        for (int email = 0; email < 400; email++) {
          bounced += random.nextDouble() < 0.03 ? 1 : 0;
        }
        weeks.add(week(n, 400, bounced, 0));
      }
      called += new WeeksHealth(weeks).says().get(0).startsWith("No week stands out") ? 0 : 1;
    }
    assertThat(called).isLessThan(65);
  }

  @Test
  void tooManyComplaintsAreSaid() {
    List<WeekOfMail> weeks = List.of(week(0, 2_000, 0, 20), week(1, 2_000, 0, 22));
    assertThat(new WeeksHealth(weeks).says().toString())
        .contains("More than 3 in 1,000 emails are complained about");
    assertThat(new WeeksHealth(List.of(week(0, 3, 1, 1))).says())
        .containsExactly("Hardly anything has gone out, so nothing can stand out.");
  }

  /** Counted by hand: 1,000 emails, 400 of them to the silent, 300 opened: 30% now, 50% then. */
  @Test
  void saysWhatItWouldDoToMailThemNoMore() {
    Silence silence =
        new Silence(
            90,
            List.of(
                new Silence.Group("spring 2026", 120, 80), new Silence.Group("June 2026", 80, 20)),
            1_000,
            400,
            300);
    assertThat(silence.says())
        .containsExactly(
            "Of 200 people who have been here for 90 days and got mail since, 100 opened none of it (50.0%).",
            "Without them 400 of 1,000 emails (40.0%) would not have gone out, and 50.0% of the rest would have been opened (46.0% to 54.0%) instead of 30.0%.");
    assertThat(new Silence(90, List.of(), 0, 0, 0).says().toString()).contains("nobody can be");
  }
}
