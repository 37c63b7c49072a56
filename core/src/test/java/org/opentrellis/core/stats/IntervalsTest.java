package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.stats.Confidence.NINETY_FIVE;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Published intervals: Newcombe 1998, Statistics in Medicine 17:857-872 and 17:873-890, to eight
 * digits as R 4.2.2's prop.test and statsmodels give them.
 */
class IntervalsTest {

  @ParameterizedTest(name = "{0}/{1}")
  @CsvSource({
    "81, 263, .25528852, .36620958",
    "15, 148, .06238640, .16048724",
    "0, 20, 0, .16112516",
    "1, 29, .00611321, .17175522",
    "301, 860, .318853, .382481",
    "392, 860, .422798, .489223",
  })
  void wilson(long count, long of, double low, double high) {
    Interval interval = Wilson.interval(new Proportion(count, of), NINETY_FIVE);
    assertThat(interval.low()).isCloseTo(low, within(1e-6));
    assertThat(interval.high()).isCloseTo(high, within(1e-6));
  }

  @ParameterizedTest(name = "{0}/{1} - {2}/{3}")
  @CsvSource({
    "56, 70, 48, 80, .05243147, .33387265",
    "9, 10, 3, 10, .17052272, .80901797",
    "6, 7, 2, 7, .05822793, .80624964",
    "5, 56, 0, 29, -.03813715, .19256001",
    "0, 10, 0, 20, -.16112516, .27753280",
    "0, 10, 0, 10, -.27753280, .27753280",
    "10, 10, 0, 20, .67908604, 1",
    "10, 10, 0, 10, .60750935, 1",
    "189, 11034, 104, 11037, .00470203, .01077508",
  })
  void newcombeOfDifferentPeople(long x, long m, long y, long n, double low, double high) {
    Interval interval =
        Newcombe.independent(new Proportion(x, m), new Proportion(y, n), NINETY_FIVE);
    assertThat(interval.low()).isCloseTo(low, within(1e-8));
    assertThat(interval.high()).isCloseTo(high, within(1e-8));
  }

  /** By its formula: with no correlation the paired interval is the independent one. */
  @Test
  void newcombeOfTheSamePeopleWithoutCorrelation() {
    Pairs pairs = new Pairs(20, 30, 40, 60); // 20 * 60 = 30 * 40, so phi is 0
    assertThat(Newcombe.paired(pairs, NINETY_FIVE))
        .isEqualTo(Newcombe.independent(pairs.first(), pairs.second(), NINETY_FIVE));
  }

  /**
   * Coverage over 4,000 seeded samples of 300 strongly correlated pairs. True coverage of the
   * method is near 95%; a sound one falls outside 93.5 to 96.5% about once in 70,000.
   */
  @Test
  void thePairedIntervalCoversTheTruth() {
    SplittableRandom random = new SplittableRandom(11);
    int covered = 0;
    int samples = 4_000;
    for (int sample = 0; sample < samples; sample++) {
      long[] counts = new long[4];
      for (int pair = 0; pair < 300; pair++) {
        double u = random.nextDouble();
        counts[u < 0.25 ? 0 : u < 0.32 ? 1 : u < 0.35 ? 2 : 3]++;
      }
      Pairs pairs = new Pairs(counts[0], counts[1], counts[2], counts[3]);
      covered += Newcombe.paired(pairs, NINETY_FIVE).contains(0.04) ? 1 : 0;
    }
    assertThat(covered / (double) samples).isBetween(0.935, 0.965);
  }

  /** McNemar: discordant 10 and 3, exact p .09228515625; 86 and 150, 3.71593614e-5 (R, SciPy). */
  @Test
  void mcNemarExact() {
    assertThat(McNemar.exact(new Pairs(5, 10, 3, 7))).isCloseTo(0.09228515625, within(1e-12));
    assertThat(McNemar.exact(new Pairs(0, 86, 150, 0))).isCloseTo(3.71593614e-5, within(1e-12));
    assertThat(McNemar.exact(new Pairs(9, 0, 0, 1))).isEqualTo(1);
  }

  @Test
  void nothingHasNoInterval() {
    assertThat(new Proportion(0, 0).value()).isEmpty();
    assertThatThrownBy(() -> Wilson.interval(new Proportion(0, 0), NINETY_FIVE))
        .hasMessage("no interval for a share of nothing");
    assertThatThrownBy(() -> new Proportion(3, 2)).hasMessage("a share of 3 out of 2");
  }
}
