package org.opentrellis.app.clock;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Turns the account's clock on, never back, and remembers it. */
@Component
public class ClockKeeper {
  private final AccountClock clock;
  private final ClockMapper mapper;

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

  /** Keeps the moment that it stands at: after a crash it goes on from there. */
  @Transactional
  public void keep() {
    mapper.turnOn(clock.aheadAt(clock.instant()));
  }

  /** The clock goes on from the moment that it stands at. */
  @Transactional
  public void goOn() {
    long ahead = clock.aheadAt(clock.instant());
    mapper.turnOn(ahead);
    clock.goesOn(ahead);
  }

  /** Up to when dates and segments have been looked at. */
  @Transactional(readOnly = true)
  public Optional<Long> lookedTo() {
    return mapper.lookedTo();
  }

  @Transactional
  public void lookTo(long at) {
    mapper.lookTo(at);
  }
}
