package org.opentrellis.core.stats;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * Whether something happens at another pace to one group than to another (Mantel 1966), with the
 * hypergeometric variance.
 *
 * @param observed how often it happened to the first group
 * @param expected how often it would have if both were alike
 * @param variance of the difference
 * @param chiSquare with one degree of freedom
 * @param pValue the chance of one as large if both were alike; 1 if nothing happened
 */
public record LogRank(
    double observed, double expected, double variance, double chiSquare, double pValue) {

  public static LogRank of(List<KaplanMeier.Followed> first, List<KaplanMeier.Followed> second) {
    List<KaplanMeier.Followed> both = new ArrayList<>(first);
    both.addAll(second);
    double observed = 0;
    double expected = 0;
    double variance = 0;
    for (double time : KaplanMeier.eventTimes(both)) {
      double n = KaplanMeier.atRisk(both, time);
      double n1 = KaplanMeier.atRisk(first, time);
      double d = KaplanMeier.eventsAt(both, time);
      observed += KaplanMeier.eventsAt(first, time);
      expected += d * n1 / n;
      if (n > 1) {
        variance += d * (n1 / n) * (1 - n1 / n) * (n - d) / (n - 1);
      }
    }
    double difference = observed - expected;
    double chiSquare = variance > 0 ? difference * difference / variance : 0;
    return new LogRank(
        observed,
        expected,
        variance,
        chiSquare,
        ChiSquaredDistribution.of(1).survivalProbability(chiSquare));
  }
}
