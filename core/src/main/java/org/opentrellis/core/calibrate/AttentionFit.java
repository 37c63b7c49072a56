package org.opentrellis.core.calibrate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.opentrellis.core.behaviour.Attention;

/**
 * The weekly profile of attention: the speeds of the attention clock at which the opens that a
 * lognormal delay would bring into each hour of the week are as many as there were. Found by going
 * round: compute how many there would be, and turn each hour up or down.
 *
 * @param hours 168 estimates, Monday 00:00 first; their values have a mean of 1
 */
record AttentionFit(List<Estimate> hours) {
  private static final int WEEK = Attention.WEEK;
  private static final int WEEKS = 4;
  private static final int ROUNDS = 40;
  private static final double DAMPING = 0.8;
  private static final double Z = 1.959963984540054;

  /**
   * @param sentHours by hour of the week, how many of the opened messages were sent then
   * @param openedHours by hour of the week, how many were opened then
   */
  static AttentionFit fit(long[] sentHours, long[] openedHours, OpenDelay delay) {
    double[] speed = new double[WEEK];
    Arrays.fill(speed, 1);
    double total = Arrays.stream(openedHours).sum();
    for (int round = 0; round < ROUNDS; round++) {
      double[] expected = expected(sentHours, speed, delay);
      double sum = Arrays.stream(expected).sum();
      for (int hour = 0; hour < WEEK; hour++) {
        double ratio = (openedHours[hour] + 0.5) / (expected[hour] * total / sum + 0.5);
        speed[hour] *= Math.pow(ratio, DAMPING);
      }
      double mean = Arrays.stream(speed).average().orElseThrow();
      for (int hour = 0; hour < WEEK; hour++) {
        speed[hour] /= mean;
      }
    }
    List<Estimate> hours = new ArrayList<>();
    for (int hour = 0; hour < WEEK; hour++) {
      double error = Z / Math.sqrt(Math.max(1, openedHours[hour]));
      hours.add(
          new Estimate(
              speed[hour],
              speed[hour] * Math.exp(-error),
              speed[hour] * Math.exp(error),
              openedHours[hour]));
    }
    return new AttentionFit(hours);
  }

  /**
   * Whether the opens differ from those of a clock that runs evenly by more than chance: Pearson's
   * chi-square over the hours of the week, at 1%.
   */
  static boolean differsFromFlat(long[] sentHours, long[] openedHours, OpenDelay delay) {
    double[] even = new double[WEEK];
    Arrays.fill(even, 1);
    double[] expected = expected(sentHours, even, delay);
    double scale = Arrays.stream(openedHours).sum() / Arrays.stream(expected).sum();
    double chiSquare = 0;
    for (int hour = 0; hour < WEEK; hour++) {
      double due = Math.max(1e-9, expected[hour] * scale);
      chiSquare += (openedHours[hour] - due) * (openedHours[hour] - due) / due;
    }
    return ChiSquaredDistribution.of(WEEK - 1.0).survivalProbability(chiSquare) < 0.01;
  }

  private static double[] expected(long[] sent, double[] speed, OpenDelay delay) {
    double[] expected = new double[WEEK];
    for (int from = 0; from < WEEK; from++) {
      if (sent[from] == 0) {
        continue;
      }
      // Sent in the middle of its hour, on average.
      double gone = 0;
      double before = 0;
      for (int later = 0; later < WEEKS * WEEK; later++) {
        int hour = (from + later) % WEEK;
        gone += speed[hour] * 3600 * (later == 0 ? 0.5 : 1);
        double by = delay.within(gone);
        expected[hour] += sent[from] * (by - before);
        before = by;
      }
    }
    return expected;
  }

  Attention attention() {
    return new Attention(
        hours.stream().map(Estimate::value).toList(),
        org.opentrellis.core.behaviour.Origin.MEASURED);
  }
}
