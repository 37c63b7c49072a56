package org.opentrellis.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Keenness;

class OpensOfTenTest {
  /** Mean 1/2 and spread 1/3 are a = b = 1: every number of opens is as likely (closed form). */
  @Test
  void aFlatKeennessMakesEveryNumberAsLikely() {
    OpensOfTen flat = OpensOfTen.of(new Keenness(0.5, 1.0 / 3));
    assertThat(flat.shares())
        .hasSize(11)
        .allSatisfy(share -> assertThat(share).isCloseTo(1.0 / 11, within(1e-12)));
    assertThat(flat.sentence())
        .isEqualTo("They open 5.0 of ten on average; 18% open none or one, 27% eight or more.");
  }

  @Test
  void sharesAddUpAndHaveTheMean() {
    OpensOfTen some = OpensOfTen.of(new Keenness(0.38, 0.25));
    double mean = 0;
    double sum = 0;
    for (int k = 0; k <= 10; k++) {
      mean += k * some.shares().get(k);
      sum += some.shares().get(k);
    }
    assertThat(sum).isCloseTo(1, within(1e-12));
    assertThat(mean).isCloseTo(3.8, within(1e-12));
  }
}
