package org.opentrellis.core.random;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.LogNormalDistribution;
import org.junit.jupiter.api.Test;

class QuantileTableTest {

  /** Normal quantiles: Wichura 1988, AS 241, as R and mpmath give them. */
  @Test
  void isCloseInTheTailsAndInTheMiddle() {
    QuantileTable normal = QuantileTable.standardNormal();
    assertThat(normal.at(0.001)).isCloseTo(-3.0902323061678135, within(1e-4));
    assertThat(normal.at(0.25)).isCloseTo(-0.6744897501960817, within(1e-4));
    assertThat(normal.at(0.975)).isCloseTo(1.9599639845400542, within(1e-4));
    assertThat(normal.at(0.5)).isCloseTo(0, within(1e-9));
  }

  /**
   * A median of 2 h and 90% by 24 h: sigma 1.9389829614324, F(8 h) .762682976947134 (R). The table
   * must put that share of an even grid below 8 hours.
   */
  @Test
  void aLognormalDelayHasItsDistribution() {
    QuantileTable normal = QuantileTable.standardNormal();
    int grid = 100_000;
    int below = 0;
    for (int i = 0; i < grid; i++) {
      double hours = 2 * Math.exp(1.9389829614324 * normal.at((i + 0.5) / grid));
      below += hours <= 8 ? 1 : 0;
    }
    assertThat(below / (double) grid).isCloseTo(0.762682976947134, within(1e-4));
    double exact = LogNormalDistribution.of(Math.log(2), 1.9389829614324).cumulativeProbability(8);
    assertThat(exact).isCloseTo(0.762682976947134, within(1e-12));
  }

  /**
   * The mean over an even grid is the mean of the distribution; 1e-5 is a tenth of a table's bias.
   */
  @Test
  void aBetaTableKeepsItsMean() {
    for (double[] shape : new double[][] {{2, 3}, {0.5, 0.8}, {12, 4}}) {
      QuantileTable table = QuantileTable.beta(shape[0], shape[1]);
      double sum = 0;
      int grid = 50_000;
      for (int i = 0; i < grid; i++) {
        sum += table.at((i + 0.5) / grid);
      }
      assertThat(sum / grid)
          .isCloseTo(BetaDistribution.of(shape[0], shape[1]).getMean(), within(2e-5));
    }
  }

  /** Looked up by a draw's bits or by its uniform, a value is the same to the last bit. */
  @Test
  void aDrawIsTheQuantileOfItsUniform() {
    for (QuantileTable table :
        List.of(
            QuantileTable.standardNormal(),
            QuantileTable.logNormal(10_800, 1.6),
            QuantileTable.beta(1.2, 1.8))) {
      for (int address = 1; address <= 20_000; address++) {
        assertThat(table.draw(3, address)).isEqualTo(table.at(Draws.uniform(3, address)));
      }
    }
  }

  @Test
  void aTableIsMadeOnceAndMadeAgainWhenItWasLongNotAskedFor() {
    QuantileTable first = QuantileTable.beta(2.5, 3.5);
    assertThat(QuantileTable.beta(2.5, 3.5)).isSameAs(first);
    for (int i = 1; i <= 64; i++) {
      QuantileTable.beta(5, 1 + i / 8.0);
    }
    QuantileTable again = QuantileTable.beta(2.5, 3.5);
    assertThat(again).isNotSameAs(first);
    assertThat(again.at(0.3)).isEqualTo(first.at(0.3));
  }
}
