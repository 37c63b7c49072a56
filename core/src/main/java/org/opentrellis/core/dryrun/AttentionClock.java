package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Attention;
import org.opentrellis.core.calendar.ZoneClock;

/**
 * Counts a delay on a clock that runs as fast as people look at their mail: time is rescaled
 * through the cumulative sum of the weekly profile. A delay of the lognormal median then ends, for
 * half of the people, when so much attention has gone by, and more delays end in busy hours.
 */
final class AttentionClock {
  private static final int HOUR = 3600;
  private static final long WEEK_SECONDS = (long) Attention.WEEK * HOUR;

  /** Monday 1969-12-29, the last Monday before 1970-01-01. */
  private static final long FIRST_MONDAY = -3L * ZoneClock.DAY;

  private final double[] speed;
  private final double[] before;

  private AttentionClock(Attention attention) {
    speed = attention.hours().stream().mapToDouble(Double::doubleValue).toArray();
    before = new double[Attention.WEEK + 1];
    for (int hour = 0; hour < Attention.WEEK; hour++) {
      before[hour + 1] = before[hour] + speed[hour] * HOUR;
    }
  }

  /** Null if every hour is alike, so that the plain clock does. */
  static @Nullable AttentionClock of(Attention attention) {
    return attention.isFlat() ? null : new AttentionClock(attention);
  }

  /** The instant by which so many seconds of attention have gone by. */
  long after(long instant, double attentionSeconds, ZoneClock clock) {
    long local = clock.local(instant);
    long week = Math.floorDiv(local - FIRST_MONDAY, WEEK_SECONDS);
    long second = local - FIRST_MONDAY - week * WEEK_SECONDS;
    int hour = (int) (second / HOUR);
    double target = before[hour] + speed[hour] * (second % HOUR) + attentionSeconds;
    double weekOfAttention = before[Attention.WEEK];
    double wholeWeeks = Math.floor(target / weekOfAttention);
    double rest = target - wholeWeeks * weekOfAttention;
    int in = hourOf(rest);
    double seconds = (double) in * HOUR + (speed[in] > 0 ? (rest - before[in]) / speed[in] : 0);
    return clock.instant(FIRST_MONDAY + (week + (long) wholeWeeks) * WEEK_SECONDS + (long) seconds);
  }

  /** The last hour before whose end the rest has gone by and which has any attention. */
  private int hourOf(double rest) {
    int low = 0;
    int high = Attention.WEEK - 1;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (before[middle + 1] > rest) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low;
  }
}
