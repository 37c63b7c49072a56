package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Agresti's aspirin table and Newcombe 1998's 56/70 against 48/80; values from R and SciPy. */
class TwoSharesTest {
  @Test
  void publishedValues() {
    double aspirin = TwoShares.z(new Proportion(189, 11_034), new Proportion(104, 11_037));
    assertThat(aspirin).isCloseTo(5.00138820401, within(1e-9));
    assertThat(TwoShares.pValue(aspirin)).isCloseTo(5.69189697e-7, within(1e-14));
    double other = TwoShares.z(new Proportion(56, 70), new Proportion(48, 80));
    assertThat(other).isCloseTo(2.6501719513, within(1e-9));
    assertThat(TwoShares.pValue(other)).isCloseTo(0.00804508137, within(1e-10));
  }

  @Test
  void allOrNoneOfBothDoNotDiffer() {
    assertThat(TwoShares.z(new Proportion(0, 5), new Proportion(0, 9))).isZero();
    assertThat(TwoShares.z(new Proportion(5, 5), new Proportion(9, 9))).isZero();
    assertThat(TwoShares.pValue(0)).isEqualTo(1);
  }
}
