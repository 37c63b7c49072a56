package org.opentrellis.app.entrances;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** How often somebody comes: twice a second is enough for a person. */
@Component
class Visitors {
  private static final int MOST = 2;
  private static final int MOST_ADDRESSES = 100_000;

  private final Cache<String, AtomicInteger> seen;

  Visitors() {
    this(Ticker.systemTicker());
  }

  Visitors(Ticker ticker) {
    seen =
        Caffeine.newBuilder()
            .ticker(ticker)
            .expireAfterWrite(Duration.ofSeconds(1))
            .maximumSize(MOST_ADDRESSES)
            .build();
  }

  /**
   * Whether somebody comes too often.
   *
   * @param address where they come from
   */
  boolean tooMany(String address) {
    return seen.get(address, first -> new AtomicInteger()).incrementAndGet() > MOST;
  }
}
