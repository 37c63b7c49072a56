package org.opentrellis.core.random;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The quantiles of the tables against a library's, one by one. */
class QuantilesTest {
  private static final int NORMAL_BITS = 23730647;
  private static final int LOG_NORMAL_BITS = 901582471;
  private static final int BETA_BITS = 982317577;

  @ParameterizedTest(name = "Beta({0}, {1})")
  @CsvSource({"2, 3", "0.3, 0.7", "0.05, 0.12", "40, 3", "1, 1", "0.9, 30", "400, 600"})
  void theTableHoldsTheQuantiles(double alpha, double beta) {
    BetaDistribution distribution = BetaDistribution.of(alpha, beta);
    QuantileTable table = QuantileTable.beta(alpha, beta);
    for (int i = 8; i < 2041; i += 7) {
      // Judged by the share below, since the quantile itself may lie on a plateau; the steps add up
      // their errors. Hard by 1 no number lies closer than its neighbours.
      double share = i / 2048.0;
      double quantile = table.at(share);
      assertThat(distribution.cumulativeProbability(Math.nextDown(quantile)))
          .isLessThan(share + 1e-8);
      assertThat(distribution.cumulativeProbability(Math.min(1, Math.nextUp(quantile))))
          .isGreaterThan(share - 1e-8);
    }
  }

  @ParameterizedTest(name = "Beta({0}, {1})")
  @CsvSource({"2, 3", "0.3, 0.7", "40, 3", "1, 1"})
  void theTailsDoToo(double alpha, double beta) {
    BetaDistribution distribution = BetaDistribution.of(alpha, beta);
    QuantileTable table = QuantileTable.beta(alpha, beta);
    for (double share : new double[] {1e-12, 1e-9, 1e-6, 1e-4, 1e-3, 2.9e-3}) {
      double low = distribution.cumulativeProbability(table.at(share));
      assertThat(low / share).isCloseTo(1, within(2e-3));
    }
    for (double share : new double[] {1e-9, 1e-6, 1e-4, 1e-3, 2.9e-3}) {
      double high = distribution.survivalProbability(table.at(1 - share));
      assertThat(high / share).isCloseTo(1, within(2e-2));
    }
  }

  @Test
  void theNormalDoesIntoItsFarTails() {
    NormalDistribution normal = NormalDistribution.of(0, 1);
    QuantileTable table = QuantileTable.standardNormal();
    for (int i = 0; i <= 44 * 64; i++) {
      double share = 0x1.0p-8 * Math.pow(2, -i / 64.0);
      double quantile = normal.inverseCumulativeProbability(share);
      assertThat(table.at(share)).isCloseTo(quantile, within(1e-4));
    }
    // Where the table holds a point it is exact.
    for (double share : new double[] {0x1.0p-53, 0x1.0p-30, 0x1.8p-20, 0x1.0p-9, 0x1.0p-2, 0.5}) {
      double quantile = normal.inverseCumulativeProbability(share);
      assertThat(table.at(share)).isCloseTo(quantile, within(1e-10));
      assertThat(table.at(1 - share)).isCloseTo(-table.at(1 - (1 - share)), within(1e-10));
    }
  }

  /**
   * Nothing in a table may depend on the machine: neither a platform's own functions, nor a
   * library's. Kept as they came out at first; whoever changes them changes {@code DryRun.ENGINE}.
   */
  @Test
  void theBitsAreTheSameEverywhere() {
    assertThat(bits(QuantileTable.standardNormal())).isEqualTo(NORMAL_BITS);
    assertThat(bits(QuantileTable.logNormal(10_800, 1.6))).isEqualTo(LOG_NORMAL_BITS);
    assertThat(bits(QuantileTable.beta(1.2, 1.8))).isEqualTo(BETA_BITS);
  }

  private static int bits(QuantileTable table) {
    double[] values = new double[50_000];
    Arrays.setAll(values, i -> table.draw(1, i));
    return Arrays.hashCode(values);
  }
}
