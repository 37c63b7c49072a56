package org.opentrellis.core.random;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The quick quantiles against the library's, one by one. */
class BetaQuantilesTest {
  @ParameterizedTest(name = "Beta({0}, {1})")
  @CsvSource({"2, 3", "0.3, 0.7", "0.05, 0.12", "40, 3", "1, 1", "0.9, 30", "400, 600"})
  void theTableHoldsTheQuantiles(double alpha, double beta) {
    BetaDistribution distribution = BetaDistribution.of(alpha, beta);
    double[] edges = BetaQuantiles.edges(distribution, 2048);
    assertThat(edges[0]).isZero();
    assertThat(edges[2048]).isEqualTo(1);
    for (int i = 8; i < 2041; i += 7) {
      // Judged by the share below, since the quantile itself may lie on a plateau; the steps from
      // the middle add up their errors. Hard by 1 no number lies closer than its neighbours.
      double share = i / 2048.0;
      assertThat(distribution.cumulativeProbability(Math.nextDown(edges[i])))
          .isLessThan(share + 1e-6);
      assertThat(distribution.cumulativeProbability(Math.min(1, Math.nextUp(edges[i]))))
          .isGreaterThan(share - 1e-6);
    }
  }

  @ParameterizedTest(name = "Beta({0}, {1})")
  @CsvSource({"2, 3", "0.3, 0.7", "40, 3", "1, 1"})
  void theTailsDoToo(double alpha, double beta) {
    BetaDistribution distribution = BetaDistribution.of(alpha, beta);
    QuantileTable table = QuantileTable.beta(alpha, beta);
    for (double share : new double[] {1e-9, 1e-6, 1e-4, 1e-3, 2.9e-3}) {
      double low = distribution.cumulativeProbability(table.at(share));
      assertThat(low / share).isCloseTo(1, within(2e-3));
      double high = distribution.survivalProbability(table.at(1 - share));
      assertThat(high / share).isCloseTo(1, within(2e-2));
    }
  }
}
