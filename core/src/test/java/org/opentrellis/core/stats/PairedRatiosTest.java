package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class PairedRatiosTest {
  /**
   * Everybody once in both: 14 in both, 6 in the first alone, 2 in the second alone, 18 in none.
   */
  private static final PairedRatios PAIRS =
      new PairedRatios(20, 40, 20, 20, 40, 16, 40, 16, 16, 40, 14, 20, 16, 40);

  @Test
  void everybodyOnceInBothIsPairs() {
    assertThat(PAIRS.arePairs()).isTrue();
    assertThat(PAIRS.pairs()).isEqualTo(new Pairs(14, 6, 2, 18));
  }

  /** The correlation of two yes-no answers is phi = (ad - bc) / sqrt of the margins (textbook). */
  @Test
  void theCorrelationOfPairsIsPhi() {
    double phi = (14.0 * 18 - 6.0 * 2) / Math.sqrt(20.0 * 20 * 16 * 24);
    assertThat(PAIRS.correlation()).isCloseTo(phi, within(1e-12));
  }

  @Test
  void differentPeopleAreNotCorrelated() {
    PairedRatios apart = new PairedRatios(20, 40, 20, 20, 40, 16, 40, 16, 16, 40, 0, 0, 0, 0);
    assertThat(apart.arePairs()).isFalse();
    assertThat(apart.correlation()).isZero();
    Interval independent =
        Newcombe.independent(
            new Proportion(20, 40), new Proportion(16, 40), Confidence.NINETY_FIVE);
    assertThat(apart.interval(Confidence.NINETY_FIVE)).isEqualTo(independent);
  }

  /**
   * Coverage by simulation: 2,000 runs of 400 people, of whom some get a message in one run only;
   * the true difference is 0.1. Between 93% and 97% of the intervals hold it: with 95% the count's
   * standard error is 0.5%, so a false alarm is rarer than 1 in 10,000. Fixed seed.
   */
  @Test
  void theIntervalHoldsTheTruthAsOftenAsItSays() {
    Random random = new Random(5);
    int holds = 0;
    int rejects = 0;
    for (int run = 0; run < 2_000; run++) {
      PairedRatios ratios = simulated(random, 0.1);
      holds += ratios.interval(Confidence.NINETY_FIVE).contains(0.1) ? 1 : 0;
      rejects += TwoShares.pValue(simulated(random, 0).z()) <= 0.05 ? 1 : 0;
    }
    assertThat(holds / 2_000.0).isBetween(0.93, 0.97);
    assertThat(rejects / 2_000.0).isBetween(0.03, 0.07);
  }

  private static PairedRatios simulated(Random random, double difference) {
    long[] s = new long[14];
    for (int person = 0; person < 400; person++) {
      double keen = random.nextDouble();
      int d1 = random.nextDouble() < 0.8 ? 1 : 0;
      int d2 = random.nextDouble() < 0.8 ? 1 : 0;
      double u = random.nextDouble();
      int n1 = d1 == 1 && u < 0.2 + difference + 0.4 * keen ? 1 : 0;
      int n2 = d2 == 1 && u < 0.2 + 0.4 * keen ? 1 : 0;
      long[] add = {
        n1, d1, n1, n1 * d1, d1, n2, d2, n2, n2 * d2, d2, n1 * n2, n1 * d2, d1 * n2, d1 * d2
      };
      for (int i = 0; i < s.length; i++) {
        s[i] += add[i];
      }
    }
    return new PairedRatios(
        s[0], s[1], s[2], s[3], s[4], s[5], s[6], s[7], s[8], s[9], s[10], s[11], s[12], s[13]);
  }
}
