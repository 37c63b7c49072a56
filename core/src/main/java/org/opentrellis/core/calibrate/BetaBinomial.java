package org.opentrellis.core.calibrate;

import java.util.Arrays;
import org.apache.commons.numbers.gamma.LogBeta;

/**
 * The beta-binomial distribution fitted to counts by maximum likelihood: out of n tries each, how
 * many people had 0, 1 ... n successes.
 *
 * @param alpha the beta distribution's first parameter
 * @param beta its second
 * @param logLikelihood without the binomial coefficients' constant
 */
public record BetaBinomial(double alpha, double beta, double logLikelihood) {

  /**
   * @param people by number of successes, from 0 to n
   */
  public static BetaBinomial fit(long[] people) {
    if (people.length < 2 || Arrays.stream(people).sum() == 0) {
      throw new IllegalArgumentException("a fit needs at least one try and one person");
    }
    int n = people.length - 1;
    MaximumLikelihood best =
        MaximumLikelihood.of(
            at -> logLikelihood(people, n, Math.exp(at[0]), Math.exp(at[1])), 0.0, 0.0);
    return new BetaBinomial(Math.exp(best.at()[0]), Math.exp(best.at()[1]), best.logLikelihood());
  }

  private static double logLikelihood(long[] people, int n, double alpha, double beta) {
    double sum = 0;
    for (int k = 0; k <= n; k++) {
      if (people[k] > 0) {
        double one = LogBeta.value(alpha + k, beta + n - k) - LogBeta.value(alpha, beta);
        sum += people[k] * (one - Math.log(n + 1.0) - LogBeta.value(k + 1.0, n - k + 1.0));
      }
    }
    return sum;
  }
}
