package org.opentrellis.core.calendar;

import java.util.ArrayList;
import java.util.List;

/**
 * From which moments an amount of time reaches to a given one: so something that happened then is
 * not longer ago than the amount. Mostly that is one span; where clocks are changed, and over the
 * ends of months and weeks, a later moment may reach less far than an earlier one.
 */
public final class Reach {
  /** Whatever makes an amount jump (midnights, changed clocks) does so at a quarter of an hour. */
  private static final int QUARTER = 900;

  /** Further apart than this, a later moment always reaches further. */
  private static final long ORDERED = 5L * ZoneClock.DAY;

  /**
   * @param from the first of its moments, in epoch seconds
   * @param to the last of them
   */
  public record Span(long from, long to) {}

  private Reach() {}

  /**
   * @return spans in order of time, apart from each other, that end at {@code at}; with every
   *     moment up to it, and no other, from which the amount reaches there
   */
  public static List<Span> to(long at, Amount amount, ZoneClock clock) {
    long first = at - Math.round(amount.nominalHours() * 3600) - 3 * ORDERED;
    if (amount.unit().exact()) {
      return List.of(new Span(at - amount.exactSeconds(), at));
    }
    long none = first;
    long some = at;
    while (some - none > QUARTER) {
      long middle = none + (some - none) / 2;
      if (amount.after(middle, clock) >= at) {
        some = middle;
      } else {
        none = middle;
      }
    }
    return spans(
        Math.floorDiv(some - ORDERED, (long) QUARTER) * QUARTER, some + ORDERED, at, amount, clock);
  }

  private static List<Span> spans(long from, long to, long at, Amount amount, ZoneClock clock) {
    List<Span> spans = new ArrayList<>();
    for (long quarter = from; quarter <= Math.min(to, at); quarter += QUARTER) {
      long lacks = Math.max(0, at - amount.after(quarter, clock));
      if (lacks < QUARTER) {
        add(spans, new Span(quarter + lacks, Math.min(at, quarter + QUARTER - 1)));
      }
    }
    add(spans, new Span(Math.min(to, at), at));
    return spans;
  }

  private static void add(List<Span> spans, Span span) {
    if (span.from > span.to) {
      return;
    }
    if (!spans.isEmpty() && spans.getLast().to + 1 >= span.from) {
      spans.set(
          spans.size() - 1, new Span(spans.getLast().from, Math.max(spans.getLast().to, span.to)));
    } else {
      spans.add(span);
    }
  }
}
