package org.opentrellis.core.calibrate;

import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * The lognormal distribution of delays, of which only those are seen that ended before we stopped
 * looking: each delay is taken given that it was shorter than it could be seen to be.
 *
 * @param medianHours of the whole distribution
 * @param sigma the standard deviation of the logarithm
 */
public record OpenDelay(Estimate medianHours, Estimate sigma) {
  private static final double Z = 1.959963984540054;
  private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

  /**
   * @param seconds how long it took
   * @param most how long it could have taken and still been seen
   */
  public record Seen(double seconds, double most) {}

  /**
   * @param seen at least two delays
   */
  static OpenDelay fit(List<Seen> seen) {
    double[] logs = seen.stream().mapToDouble(s -> Math.log(Math.max(1, s.seconds))).toArray();
    double[] limits = seen.stream().mapToDouble(s -> Math.log(Math.max(2, s.most))).toArray();
    double mean = java.util.Arrays.stream(logs).average().orElseThrow();
    MaximumLikelihood best =
        MaximumLikelihood.of(at -> logLikelihood(logs, limits, at[0], Math.exp(at[1])), mean, 0.3);
    double mu = best.at()[0];
    double muError = Z * best.errors()[0];
    double logSigma = best.at()[1];
    double sigmaError = Z * best.errors()[1];
    return new OpenDelay(
        new Estimate(hours(mu), hours(mu - muError), hours(mu + muError), logs.length),
        new Estimate(
            Math.exp(logSigma),
            Math.exp(logSigma - sigmaError),
            Math.exp(logSigma + sigmaError),
            logs.length));
  }

  private static double hours(double logSeconds) {
    return Math.exp(logSeconds) / 3600;
  }

  private static double logLikelihood(double[] logs, double[] limits, double mu, double sigma) {
    double sum = 0;
    for (int i = 0; i < logs.length; i++) {
      double z = (logs[i] - mu) / sigma;
      double seen = NORMAL.cumulativeProbability((limits[i] - mu) / sigma);
      sum += -Math.log(sigma) - z * z / 2 - Math.log(Math.max(seen, 1e-300));
    }
    return sum;
  }

  /** The share of delays that end within some seconds. */
  double within(double seconds) {
    double mu = Math.log(medianHours.value() * 3600);
    return seconds <= 0
        ? 0
        : NORMAL.cumulativeProbability((Math.log(seconds) - mu) / sigma.value());
  }
}
