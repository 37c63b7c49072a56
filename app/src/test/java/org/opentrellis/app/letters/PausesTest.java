package org.opentrellis.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

/** RFC 5321, section 4.5.4.1: at least 30 minutes in the long run, and 4 to 5 days in all. */
class PausesTest {
  @Test
  void theyGrowAndAreAddedUp() {
    assertThat(Pauses.upTo(1)).isEqualTo(60);
    assertThat(Pauses.upTo(3)).isEqualTo(Duration.ofMinutes(36).toSeconds());
    for (int tries = 1; tries < 40; tries++) {
      assertThat(Pauses.upTo(tries + 1) - Pauses.upTo(tries)).isEqualTo(Pauses.after(tries));
      assertThat(Pauses.after(tries)).isGreaterThanOrEqualTo(Pauses.after(tries - 1));
    }
    assertThat(Pauses.after(10)).isGreaterThanOrEqualTo(Duration.ofMinutes(30).toSeconds());
    assertThat(Pauses.upTo(30)).isLessThan(Duration.ofDays(5).toSeconds());
    assertThat(Pauses.upTo(36)).isGreaterThan(Duration.ofDays(5).toSeconds());
  }
}
