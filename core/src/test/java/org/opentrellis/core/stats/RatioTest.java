package org.opentrellis.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class RatioTest {
  /**
   * The numbers 1 to 5 by hand: mean 3, variance 2.5, standard error sqrt(2.5 / 5) (closed form).
   */
  @Test
  void withDenominatorsOfOneItIsTheMeanAndItsError() {
    Ratio mean = Ratio.mean(5, 15, 55);
    assertThat(mean.value()).isEqualTo(3);
    assertThat(mean.error()).isCloseTo(Math.sqrt(0.5), within(1e-12));
  }

  /** y = 2x for everybody: the ratio is known without error. */
  @Test
  void aFixedRatioHasNoError() {
    Ratio fixed = Ratio.of(3, 12, 6, 4 + 16 + 36, 2 + 8 + 18, 1 + 4 + 9);
    assertThat(fixed.value()).isEqualTo(2);
    assertThat(fixed.error()).isCloseTo(0, within(1e-12));
  }

  @Test
  void nobodyOrOneHasNoInterval() {
    assertThat(Ratio.mean(0, 0, 0).value()).isNaN();
    assertThat(Ratio.mean(1, 4, 16).error()).isNaN();
  }
}
