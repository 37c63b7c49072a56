package org.opentrellis.core.machine;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;

/**
 * What became of an email, as far as it was recorded: one whose opens are not tracked has none,
 * whoever read it.
 *
 * @param what is asked
 * @param send which, or {@link #ANY}
 * @param last how many of the last sends count, if it is any; {@link Integer#MAX_VALUE} for all
 * @param linkSlots by send, the slot of the one link that counts (-1 where it is not in); null for
 *     any link
 * @param within how soon after it was sent, or null for whenever
 */
record EmailQuestion(
    What what, int send, int last, int @Nullable [] linkSlots, @Nullable Amount within)
    implements Question {
  static final int ANY = -1;

  enum What {
    DELIVERED,
    BOUNCED,
    OPENED,
    OPENED_BY_PEOPLE,
    CLICKED
  }

  @Override
  public int about() {
    return Evidence.MAIL;
  }

  long moment(Visit visit, Sent of) {
    long at =
        switch (what) {
          case DELIVERED -> of.deliveredAt();
          case BOUNCED -> of.bouncedAt();
          case OPENED -> of.recordedOpenAt();
          case OPENED_BY_PEOPLE -> of.tracked() ? of.peopleOpenAt() : Person.NEVER;
          case CLICKED -> clicked(visit, of);
        };
    boolean late = within != null && at != Person.NEVER && at > within.after(of.at(), visit.clock);
    return late ? Person.NEVER : at;
  }

  private long clicked(Visit visit, Sent of) {
    if (linkSlots == null) {
      return of.clickAt();
    }
    int slot = linkSlots[of.send()];
    return slot < 0 ? Person.NEVER : visit.linkClickAt(slot);
  }

  /** What has become of one email stays so: its moment says when. */
  @Override
  public long firstHolds(Visit visit, long from, long to) {
    if (send < 0) {
      return Question.super.firstHolds(visit, from, to);
    }
    long at = Math.max(from, moment(visit, visit.sent(send)));
    return at <= to ? at : Person.NEVER;
  }

  @Override
  public boolean holds(Visit visit, long at) {
    if (send >= 0) {
      return moment(visit, visit.sent(send)) <= at;
    }
    for (int n = firstThatCounts(visit); n < visit.sends(); n++) {
      if (moment(visit, visit.sentInOrder(n)) <= at) {
        return true;
      }
    }
    return false;
  }

  @Override
  public long nextChange(Visit visit, long at) {
    if (send >= 0) {
      return ifAfter(moment(visit, visit.sent(send)), at);
    }
    long next = Person.NEVER;
    for (int n = firstThatCounts(visit); n < visit.sends(); n++) {
      next = Math.min(next, ifAfter(moment(visit, visit.sentInOrder(n)), at));
    }
    return next;
  }

  int firstThatCounts(Visit visit) {
    return Math.max(0, visit.sends() - last);
  }

  private static long ifAfter(long moment, long at) {
    return moment > at ? moment : Person.NEVER;
  }
}
