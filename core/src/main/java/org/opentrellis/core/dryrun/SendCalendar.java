package org.opentrellis.core.dryrun;

import java.util.Arrays;

/** Messages by local day since the cohort starts, and by hour of the local day. */
public final class SendCalendar {
  private static final int HOURS = 24;
  private static final int MOST_DAYS = 3660;

  private final long firstHour;
  private long[] counts = new long[0];

  /**
   * @param firstDay the day that counts as 0, in days since 1970-01-01
   */
  SendCalendar(long firstDay) {
    this.firstHour = firstDay * HOURS;
  }

  /**
   * @param hour the local hour since 1970
   */
  void accept(long hour) {
    long from = hour - firstHour;
    if (from >= 0 && from < counts.length) {
      counts[(int) from]++;
    } else {
      int index = (int) Math.max(0, Math.min(from, (long) MOST_DAYS * HOURS - 1));
      long[] all = index < counts.length ? counts : grown(index);
      all[index]++;
    }
  }

  private long[] grown(int index) {
    counts = Arrays.copyOf(counts, Math.max(index / HOURS * HOURS + HOURS, counts.length * 2));
    return counts;
  }

  void combine(SendCalendar other) {
    if (other.counts.length > counts.length) {
      counts = Arrays.copyOf(counts, other.counts.length);
    }
    for (int i = 0; i < other.counts.length; i++) {
      counts[i] += other.counts[i];
    }
  }

  void counts(Counts all) {
    counts = all.grown(counts, MOST_DAYS * HOURS);
  }

  /** How many days there are, up to the last on which something was sent. */
  public int days() {
    int last = counts.length - 1;
    while (last >= 0 && counts[last] == 0) {
      last--;
    }
    return last / HOURS + (last < 0 ? 0 : 1);
  }

  /** Sent on one day in one hour; zeros at the end are not always kept. */
  public long at(int day, int hour) {
    int index = day * HOURS + hour;
    return index < counts.length ? counts[index] : 0;
  }

  /** Sent on one day. */
  public long on(int day) {
    long sum = 0;
    for (int hour = 0; hour < HOURS; hour++) {
      sum += at(day, hour);
    }
    return sum;
  }

  public long total() {
    return Arrays.stream(counts).sum();
  }
}
