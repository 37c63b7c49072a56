package org.opentrellis.core.machine;

/** When the last emails went out to a person, for the frequency guard and for tiredness. */
final class SendMemory {
  /** How many are remembered. */
  static final int REMEMBERED = 128;

  private final long[] times = new long[REMEMBERED];
  private int count;

  /** Where the week with the most emails so far would begin if it ended with the latest. */
  private int weekFrom;

  void clear() {
    count = 0;
    weekFrom = 0;
  }

  void add(long at) {
    times[count++ & REMEMBERED - 1] = at;
    weekFrom += times[weekFrom & REMEMBERED - 1] <= at - Person.WEEK ? 1 : 0;
  }

  /** How many went out after a moment, at most {@value #REMEMBERED}. */
  int since(long moment) {
    int found = 0;
    int known = Math.min(count, REMEMBERED);
    while (found < known && times[count - 1 - found & REMEMBERED - 1] > moment) {
      found++;
    }
    return found;
  }

  /**
   * The most that went out within any seven days: the week that is looked at grows with each email
   * unless that would make it too long; then it moves on, and never shrinks.
   */
  int mostInAWeek() {
    return count - weekFrom;
  }

  /** When the n-th last went out, from 1; there must be as many. */
  long fromLast(int n) {
    return times[count - n & REMEMBERED - 1];
  }

  /** The remembered times in order. */
  long[] remembered() {
    int known = Math.min(count, REMEMBERED);
    long[] all = new long[known];
    for (int i = 0; i < known; i++) {
      all[i] = times[count - known + i & REMEMBERED - 1];
    }
    return all;
  }

  /** Takes over remembered times, and the most in a week so far. */
  void restore(long[] remembered, int mostInAWeek) {
    clear();
    for (long at : remembered) {
      add(at);
    }
    weekFrom = count - mostInAWeek;
  }
}
