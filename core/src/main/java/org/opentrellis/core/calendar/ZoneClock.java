package org.opentrellis.core.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneRules;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A zone's local time for instants in epoch seconds, by a table of offsets. Gives exactly what
 * java.time gives, some twenty times quicker; outside its table, and around a change of the offset,
 * it asks java.time.
 *
 * <p>Local times are seconds since 1970-01-01T00:00 on the wall clock. A local time in a gap moves
 * later by the gap's length, in an overlap the earlier offset is taken ({@link
 * java.time.ZonedDateTime}'s rule; for a local time that does not exist RFC 5545 section 3.3.5
 * names the same instant).
 */
public final class ZoneClock {
  public static final int DAY = 86_400;

  /** Marks a stretch within a day of which the offset changes. */
  private static final int ASK = Integer.MIN_VALUE;

  /** The table has an offset for each stretch of this many seconds, some 18 hours, as a shift. */
  private static final int STRETCH = 16;

  private final ZoneId zone;
  private final ZoneRules rules;
  private final long first;
  private final int[] offsets;

  /** The longest time without a change, and its offset: most questions are about it. */
  private long steadyFrom;

  private long steadyTo;
  private int steadyOffset;
  private final Map<ZoneId, ZoneClock> siblings;

  private ZoneClock(ZoneId zone, long first, int stretches, Map<ZoneId, ZoneClock> siblings) {
    this.siblings = siblings;
    this.zone = zone;
    this.rules = zone.getRules();
    this.first = first;
    this.offsets = new int[stretches];
    for (int i = 0; i < stretches; i++) {
      long from = first + ((long) i << STRETCH);
      long dayBefore = from - DAY;
      long dayAfter = from + (1L << STRETCH) + DAY;
      int offset = offsetByRules(dayBefore);
      boolean steady = offset == offsetByRules(dayAfter) && noTransition(dayBefore, dayAfter);
      offsets[i] = steady ? offset : ASK;
    }
    findSteady();
  }

  private void findSteady() {
    int begun = 0;
    for (int i = 0; i < offsets.length; i++) {
      if (offsets[i] != offsets[begun]) {
        begun = i;
      }
      long length = (long) (i + 1 - begun) << STRETCH;
      if (offsets[i] != ASK && length > steadyTo - steadyFrom) {
        steadyFrom = first + ((long) begun << STRETCH);
        steadyTo = steadyFrom + length;
        steadyOffset = offsets[i];
      }
    }
  }

  /**
   * A clock that is quick from some days before an instant to some days after it.
   *
   * @param days how many days after it
   */
  public static ZoneClock around(ZoneId zone, Instant start, int days) {
    long before = 40L * DAY;
    int stretches = (int) ((before + (long) days * DAY) >> STRETCH) + 1;
    return new ZoneClock(
        zone, start.getEpochSecond() - before, stretches, new ConcurrentHashMap<>());
  }

  public ZoneId zone() {
    return zone;
  }

  /** A clock for another zone, quick in the same days. */
  public ZoneClock in(ZoneId other) {
    return siblings.computeIfAbsent(
        other, unknown -> new ZoneClock(unknown, first, offsets.length, siblings));
  }

  /** The local time at an instant. */
  public long local(long instant) {
    return instant + offset(instant);
  }

  /** The instant at which the wall clock shows a local time. */
  public long instant(long local) {
    int offset = tabled(local);
    return offset != ASK
        ? local - offset
        : LocalDateTime.ofEpochSecond(local, 0, ZoneOffset.UTC).atZone(zone).toEpochSecond();
  }

  /** The instant so many days later at the same wall-clock time. */
  public long plusDays(long instant, int days) {
    long later = instant + (long) days * DAY;
    int offset = tabled(instant);
    return offset != ASK && offset == tabled(later)
        ? later
        : instant(local(instant) + (long) days * DAY);
  }

  /**
   * Whether the clock is certainly not set back or forward between two moments; it may say no all
   * the same.
   */
  public boolean isSteady(long from, long to) {
    return from >= steadyFrom && to < steadyTo;
  }

  /** The days since 1970-01-01 on the calendar of the zone. */
  public long day(long instant) {
    return Math.floorDiv(local(instant), (long) DAY);
  }

  public LocalDate date(long instant) {
    return LocalDate.ofEpochDay(day(instant));
  }

  private int offset(long instant) {
    int offset = tabled(instant);
    return offset != ASK ? offset : offsetByRules(instant);
  }

  /** The offset all day before and after a moment, whether that is local or an instant, or ASK. */
  private int tabled(long moment) {
    if (moment >= steadyFrom && moment < steadyTo) {
      return steadyOffset;
    }
    long stretch = moment - first >> STRETCH;
    return stretch >= 0 && stretch < offsets.length ? offsets[(int) stretch] : ASK;
  }

  private int offsetByRules(long instant) {
    return rules.getOffset(Instant.ofEpochSecond(instant)).getTotalSeconds();
  }

  private boolean noTransition(long from, long to) {
    var next = rules.nextTransition(Instant.ofEpochSecond(from));
    return next == null || next.toEpochSecond() >= to;
  }
}
