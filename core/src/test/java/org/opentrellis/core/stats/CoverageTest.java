package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * How often intervals hold what is true, over 4,000 seeded samples. With 95% the count's standard
 * error is 0.35%, so 93.5% to 96.5% is more than four of them, a false alarm in 10,000; score
 * intervals themselves are up to a point off at small counts, so the bounds are a point wider.
 */
class CoverageTest {
  private static final int SAMPLES = 4_000;
  private static final double LEAST = 0.925;
  private static final double MOST = 0.975;

  private static Proportion sample(Random random, double share, int people) {
    int count = 0;
    for (int n = 0; n < people; n++) {
      count += random.nextDouble() < share ? 1 : 0;
    }
    return new Proportion(count, people);
  }

  @ParameterizedTest
  @CsvSource({"0.03, 400", "0.2, 150", "0.5, 60", "0.9, 200"})
  void wilsonHoldsTheShare(double share, int people) {
    Random random = new Random(1);
    int holds = 0;
    for (int n = 0; n < SAMPLES; n++) {
      Interval interval = Wilson.interval(sample(random, share, people), Confidence.NINETY_FIVE);
      holds += interval.contains(share) ? 1 : 0;
    }
    assertThat((double) holds / SAMPLES).isBetween(LEAST, MOST);
  }

  @ParameterizedTest
  @CsvSource({"0.1, 0.12, 300, 500", "0.4, 0.3, 120, 90", "0.05, 0.05, 400, 400"})
  void newcombeHoldsTheDifference(double one, double two, int first, int second) {
    Random random = new Random(2);
    int holds = 0;
    int calls = 0;
    for (int n = 0; n < SAMPLES; n++) {
      Proportion p1 = sample(random, one, first);
      Proportion p2 = sample(random, two, second);
      Interval interval = Newcombe.independent(p1, p2, Confidence.NINETY_FIVE);
      holds += interval.contains(one - two) ? 1 : 0;
      calls += TwoShares.pValue(TwoShares.z(p1, p2)) <= 0.05 ? 1 : 0;
    }
    assertThat((double) holds / SAMPLES).isBetween(LEAST, MOST);
    if (one == two) {
      assertThat((double) calls / SAMPLES).isBetween(0.03, 0.07);
    }
  }

  /** Skewed money: a tenth buy, for amounts that spread widely; the mean is known. */
  @ParameterizedTest
  @CsvSource({"2000", "8000"})
  void theMeanOfMoneyIsHeld(int people) {
    Random random = new Random(3);
    double truth = 0.1 * 60 * Math.exp(0.8 * 0.8 / 2);
    int holds = 0;
    int samples = 1_000;
    for (int n = 0; n < samples; n++) {
      double sum = 0;
      double squares = 0;
      for (int person = 0; person < people; person++) {
        double spent = random.nextDouble() < 0.1 ? 60 * Math.exp(0.8 * random.nextGaussian()) : 0;
        sum += spent;
        squares += spent * spent;
      }
      Interval interval = Ratio.mean(people, sum, squares).interval(Confidence.NINETY_FIVE);
      holds += interval.contains(truth) ? 1 : 0;
    }
    // A thousand samples: the standard error is 0.7%, and skew takes up to a point.
    assertThat((double) holds / samples).isBetween(0.92, 0.975);
  }
}
