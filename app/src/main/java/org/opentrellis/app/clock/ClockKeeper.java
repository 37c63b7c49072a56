package org.opentrellis.app.clock;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Turns the account's clock on, never back, and remembers it. */
@Component
public class ClockKeeper {
  /** What is looked at again after a crash, and how far the clock may have gone on by then. */
  private static final long HOUR = 3600;

  private final AccountClock clock;
  private final ClockMapper mapper;
  private volatile @Nullable Long looked;
  private long lookedKept = Long.MIN_VALUE;
  private long kept = Long.MIN_VALUE;

  ClockKeeper(AccountClock clock, ClockMapper mapper) {
    this.clock = clock;
    this.mapper = mapper;
  }

  /** An account in which nothing has happened yet begins so much before the machine's time. */
  @Transactional
  public void beginBefore(Duration time) {
    mapper.turnOn(-time.toSeconds());
    clock.goesOn(-time.toSeconds());
  }

  /** The clock stands at a moment ahead until it is told to go on. */
  public void stand(Instant moment) {
    if (moment.isAfter(clock.instant())) {
      clock.standsAt(moment);
    } else if (!clock.isTurning()) {
      clock.standsAt(clock.instant());
    }
  }

  /**
   * Sees to it that after a crash it does not go back behind the moment that it stands at: once an
   * hour of its time the end of that hour is kept, from which it would go on then.
   */
  @Transactional
  public void keep() {
    if (clock.now() > kept) {
      kept = clock.now() + HOUR;
      mapper.turnOn(clock.aheadAt(Instant.ofEpochSecond(kept)));
    }
  }

  /** The clock goes on from the moment that it stands at. */
  @Transactional
  public void goOn() {
    long ahead = clock.aheadAt(clock.instant());
    kept = Long.MIN_VALUE;
    mapper.turnOn(ahead);
    clock.goesOn(ahead);
  }

  /** Up to when dates and segments have been looked at. */
  @Transactional(readOnly = true)
  public Optional<Long> lookedTo() {
    return looked == null ? mapper.lookedTo() : Optional.ofNullable(looked);
  }

  /**
   * Remembers it, and keeps it once an hour: what is looked at again after a crash was told before.
   */
  @Transactional
  public void lookTo(long at) {
    looked = at;
    if (at >= lookedKept + HOUR) {
      lookedKept = at;
      mapper.lookTo(at);
    }
  }
}
