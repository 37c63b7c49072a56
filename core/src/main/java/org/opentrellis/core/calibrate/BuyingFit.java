package org.opentrellis.core.calibrate;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * How many buy because they clicked, and how long that takes, by maximum likelihood: with a chance
 * p they do after an exponential delay, and beside that everybody buys at the rate of those who did
 * not click. The first purchase is what is seen, and only if it came before we stopped looking; so
 * a click of yesterday says less than one of last month.
 *
 * @param chance of those who clicked; empty if nobody did
 * @param meanHours of the delay; empty where too few bought to tell
 */
record BuyingFit(Optional<Estimate> chance, Optional<Estimate> meanHours) {
  private static final double Z = 1.959963984540054;
  private static final double HOUR = 3600;

  /** With fewer, the delay says nothing, and the share is taken as it stands. */
  private static final int FEWEST_BUYERS = 5;

  /**
   * After a click, or after an open without one.
   *
   * @param seconds until the first purchase, or until we stopped looking
   */
  record Watched(double seconds, boolean bought) {}

  static BuyingFit fit(List<Watched> clickers, List<Watched> others) {
    long buyers = clickers.stream().filter(Watched::bought).count();
    if (clickers.isEmpty()) {
      return new BuyingFit(Optional.empty(), Optional.empty());
    }
    if (buyers < FEWEST_BUYERS) {
      Interval interval =
          Wilson.interval(new Proportion(buyers, clickers.size()), Confidence.NINETY_FIVE);
      double share = buyers / (double) clickers.size();
      return new BuyingFit(
          Optional.of(new Estimate(share, interval.low(), interval.high(), clickers.size())),
          Optional.empty());
    }
    boolean anyway = others.stream().anyMatch(Watched::bought);
    double watched = others.stream().mapToDouble(Watched::seconds).sum();
    double boughtAnyway = others.stream().filter(Watched::bought).count();
    double meanOfBuyers =
        clickers.stream().filter(Watched::bought).mapToDouble(Watched::seconds).average().orElse(1);
    double startLog = Math.log(Math.max(60, meanOfBuyers));
    MaximumLikelihood best =
        anyway
            ? MaximumLikelihood.of(
                at ->
                    logLikelihood(clickers, at[0], at[1], Math.exp(at[2]))
                        + boughtAnyway * at[2]
                        - Math.exp(at[2]) * watched,
                -1,
                startLog,
                Math.log(boughtAnyway / watched))
            : MaximumLikelihood.of(at -> logLikelihood(clickers, at[0], at[1], 0), -1, startLog);
    return new BuyingFit(Optional.of(chance(best, clickers.size())), meanHours(best, buyers));
  }

  private static Estimate chance(MaximumLikelihood best, long count) {
    double at = best.at()[0];
    double error = Z * best.errors()[0];
    return Double.isNaN(error)
        ? new Estimate(Logit.inverse(at), 0, 1, count)
        : new Estimate(
            Logit.inverse(at), Logit.inverse(at - error), Logit.inverse(at + error), count);
  }

  private static Optional<Estimate> meanHours(MaximumLikelihood best, long count) {
    double at = best.at()[1];
    double error = Z * best.errors()[1];
    return Double.isNaN(error) || error > 5
        ? Optional.empty()
        : Optional.of(
            new Estimate(
                Math.exp(at) / HOUR,
                Math.exp(at - error) / HOUR,
                Math.exp(at + error) / HOUR,
                count));
  }

  /**
   * @param rate of buying anyway, per second
   */
  private static double logLikelihood(
      List<Watched> clickers, double logit, double logMean, double rate) {
    double chance = Logit.inverse(logit);
    double mean = Math.exp(logMean);
    double sum = 0;
    for (Watched one : clickers) {
      double still = Math.exp(-one.seconds / mean);
      double notYet = 1 - chance + chance * still;
      double density = chance / mean * still + rate * notYet;
      sum += Math.log(Math.max(1e-300, one.bought ? density : notYet)) - rate * one.seconds;
    }
    return sum;
  }
}
