package org.opentrellis.app.clock;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;

/**
 * What everything that is dated goes by: the machine's clock and what was turned on. While it is
 * being turned it stands at the moment that has come.
 */
@Component
@Primary
public final class AccountClock extends Clock {
  private final Clock wall;
  private final AtomicReference<@Nullable Instant> standing = new AtomicReference<>();
  private volatile long turnedOn;

  AccountClock(@Qualifier("wallClock") Clock wall, ClockMapper mapper) {
    this.wall = wall;
    this.turnedOn = mapper.turnedOn();
  }

  @Override
  public Instant instant() {
    Instant stands = standing.get();
    return stands == null ? wall.instant().plusSeconds(turnedOn) : stands;
  }

  /** In epoch seconds. */
  public long now() {
    return instant().getEpochSecond();
  }

  /** How many seconds it is ahead of the machine's. */
  public long turnedOn() {
    return turnedOn;
  }

  /** Whether it is being turned just now. */
  public boolean isTurning() {
    return standing.get() != null;
  }

  void standsAt(Instant moment) {
    standing.set(moment);
  }

  /** It goes on from the moment that it has come to. */
  void goesOn(long seconds) {
    turnedOn = seconds;
    standing.set(null);
  }

  /** What would have to be turned on for it to show a moment now. */
  long aheadAt(Instant moment) {
    return Math.max(turnedOn, moment.getEpochSecond() - wall.instant().getEpochSecond());
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return new Elsewhere(this, zone);
  }

  /** The same for another zone. */
  private static final class Elsewhere extends Clock {
    private final AccountClock clock;
    private final ZoneId zone;

    Elsewhere(AccountClock clock, ZoneId zone) {
      this.clock = clock;
      this.zone = zone;
    }

    @Override
    public Instant instant() {
      return clock.instant();
    }

    @Override
    public ZoneId getZone() {
      return zone;
    }

    @Override
    public Clock withZone(ZoneId other) {
      return new Elsewhere(clock, other);
    }
  }
}
