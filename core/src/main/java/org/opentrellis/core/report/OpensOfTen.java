package org.opentrellis.core.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.numbers.gamma.LogBeta;
import org.opentrellis.core.behaviour.Keenness;

/**
 * What a group's keenness and spread mean: how many of ten usual emails its people open
 * (beta-binomial distribution).
 *
 * @param shares of the people who open 0, 1 ... 10 of ten
 * @param mean how many they open on average
 * @param sentence the same in words
 */
public record OpensOfTen(List<Double> shares, double mean, String sentence) {
  private static final int TEN = 10;

  public static OpensOfTen of(Keenness keenness) {
    double alpha = keenness.alpha();
    double beta = keenness.beta();
    List<Double> shares = new ArrayList<>();
    for (int k = 0; k <= TEN; k++) {
      double choose = -Math.log(TEN + 1.0) - LogBeta.value(TEN - k + 1.0, k + 1.0);
      shares.add(
          Math.exp(choose + LogBeta.value(k + alpha, TEN - k + beta) - LogBeta.value(alpha, beta)));
    }
    return new OpensOfTen(shares, TEN * keenness.mean(), sentence(shares, keenness));
  }

  private static String sentence(List<Double> shares, Keenness keenness) {
    double few = shares.get(0) + shares.get(1);
    double most = shares.subList(TEN - 2, TEN + 1).stream().mapToDouble(Double::doubleValue).sum();
    return String.format(
        Locale.ROOT,
        "They open %.1f of ten on average; %.0f%% open none or one, %.0f%% eight or more.",
        TEN * keenness.mean(),
        100 * few,
        100 * most);
  }
}
