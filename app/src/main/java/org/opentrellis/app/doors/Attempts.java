package org.opentrellis.app.doors;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.function.BooleanSupplier;

/**
 * Limits how often a password may be tried: five wrong ones from one address, then a pause; and
 * never more than two at once, since each costs a quarter of a second of one processor on purpose.
 */
final class Attempts {
  static final int MOST_WRONG = 5;
  static final Duration PAUSE = Duration.ofMinutes(5);

  private static final int MOST_AT_ONCE = 2;
  private static final int MOST_ADDRESSES = 10_000;

  private final Semaphore atOnce = new Semaphore(MOST_AT_ONCE);
  private final Cache<String, Integer> wrong;

  /** What came of an attempt. */
  enum Outcome {
    RIGHT,
    WRONG,
    TOO_MANY
  }

  Attempts(Ticker ticker) {
    wrong =
        Caffeine.newBuilder()
            .ticker(ticker)
            .expireAfterWrite(PAUSE)
            .maximumSize(MOST_ADDRESSES)
            .build();
  }

  /**
   * @param address where it comes from
   * @param isRight asked only if the attempt is allowed
   */
  Outcome attempt(String address, BooleanSupplier isRight) {
    if (tries(address) >= MOST_WRONG || !atOnce.tryAcquire()) {
      return Outcome.TOO_MANY;
    }
    try {
      if (isRight.getAsBoolean()) {
        wrong.invalidate(address);
        return Outcome.RIGHT;
      }
      wrong.asMap().merge(address, 1, Integer::sum);
      return Outcome.WRONG;
    } finally {
      atOnce.release();
    }
  }

  private int tries(String address) {
    Integer tries = wrong.getIfPresent(address);
    return tries == null ? 0 : tries;
  }
}
