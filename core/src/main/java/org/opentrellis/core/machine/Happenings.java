package org.opentrellis.core.machine;

import java.util.Arrays;

/** Things that happen to a person again and again, in the order of their times. */
public final class Happenings {
  private long[] times = new long[4];
  private int[] what = new int[4];
  private long[] worth = new long[4];
  private int size;

  void clear() {
    size = 0;
  }

  void add(long at, int kind, long cents) {
    if (size == times.length) {
      times = Arrays.copyOf(times, 2 * size);
      what = Arrays.copyOf(what, 2 * size);
      worth = Arrays.copyOf(worth, 2 * size);
    }
    int place = size++;
    while (place > 0 && times[place - 1] > at) {
      times[place] = times[place - 1];
      what[place] = what[place - 1];
      worth[place] = worth[place - 1];
      place--;
    }
    times[place] = at;
    what[place] = kind;
    worth[place] = cents;
  }

  /** The last that happened up to a moment, or -1. */
  int lastUpTo(long moment) {
    int n = size - 1;
    while (n >= 0 && times[n] > moment) {
      n--;
    }
    return n;
  }

  /** When the next one happens after a moment, or {@link Person#NEVER}. */
  long nextAfter(long moment) {
    int next = lastUpTo(moment) + 1;
    return next < size ? times[next] : Person.NEVER;
  }

  public int size() {
    return size;
  }

  public long at(int n) {
    return times[n];
  }

  /** The number of the event or product; -1 if it is not known. */
  public int what(int n) {
    return what[n];
  }

  /** The value in cents. */
  public long cents(int n) {
    return worth[n];
  }
}
