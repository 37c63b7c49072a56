package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Twice a second is enough, and nobody waits for somebody else. */
class VisitorsTest {
  private final AtomicLong now = new AtomicLong();
  private final Visitors visitors = new Visitors(now::get);

  @Test
  void theThirdWithinASecondIsTooMany() {
    assertThat(visitors.tooMany("192.0.2.1")).isFalse();
    assertThat(visitors.tooMany("192.0.2.1")).isFalse();
    assertThat(visitors.tooMany("192.0.2.1")).isTrue();
    assertThat(visitors.tooMany("192.0.2.2")).isFalse();
    now.addAndGet(Duration.ofMillis(1_001).toNanos());
    assertThat(visitors.tooMany("192.0.2.1")).isFalse();
  }
}
