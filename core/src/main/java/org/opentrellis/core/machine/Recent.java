package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;

/** Whether something happened lately, or since somebody entered. */
final class Recent {
  private Recent() {}

  /** What brought the person in, at the very moment of entry, does not count as since entry. */
  static boolean at(long moment, @Nullable Amount within, Visit visit, long at) {
    return within == null ? moment > visit.entryAt : until(moment, within, visit) >= at;
  }

  static long nextChange(Happenings all, @Nullable Amount within, Visit visit, long at) {
    long next = Person.NEVER;
    for (int n = 0; n < all.size(); n++) {
      long moment = all.at(n);
      if (moment > at) {
        return Math.min(next, moment);
      }
      if (within != null) {
        long over = until(moment, within, visit) + 1;
        next = over > at ? Math.min(next, over) : next;
      }
    }
    return next;
  }

  private static long until(long moment, Amount within, Visit visit) {
    return within.after(moment, visit.clock);
  }
}
