package org.opentrellis.core.calendar;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;

/** How long a person waits, from the moment they arrive at the wait. */
public sealed interface Wait {

  /** When the wait ends for somebody who arrives at {@code arrival} and lives in {@code zone}. */
  Instant endsAt(Instant arrival, ZoneId zone);

  /**
   * Waits an amount, and then perhaps on to a time of day: the amount is added first.
   *
   * @param amount how long
   * @param thenUntil the moment to move on to after that
   */
  record For(Amount amount, Optional<TimeOfDay> thenUntil) implements Wait {
    @Override
    public Instant endsAt(Instant arrival, ZoneId zone) {
      Instant added = amount.after(arrival, zone);
      return thenUntil.map(moment -> moment.atOrAfter(added, zone)).orElse(added);
    }
  }

  /**
   * Waits for the next time of day; goes on at once if it is now.
   *
   * @param moment the time of day
   */
  record Until(TimeOfDay moment) implements Wait {
    @Override
    public Instant endsAt(Instant arrival, ZoneId zone) {
      return moment.atOrAfter(arrival, zone);
    }
  }

  static Wait of(double count, TimeUnit unit) {
    return new For(Amount.of(count, unit), Optional.empty());
  }
}
