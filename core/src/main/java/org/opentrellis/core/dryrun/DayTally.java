package org.opentrellis.core.dryrun;

import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;

/**
 * What had happened to a journey's visits by each whole day of 24 hours since they began, and how
 * long they were followed. Integers only; merging in any order gives the same.
 */
public final class DayTally {
  private static final int DAY = ZoneClock.DAY;
  private static final int REASONS = LeaveReason.values().length;

  private final int horizonDays;

  /** The last day on which a goal can be met. */
  private final int goalDays;

  private final long[] goals;
  private final long[] goalsUnmet;
  private final long[] unsubscribed;
  private final long[] stayedSubscribed;
  private final long[] emails;
  private final long[] followed;
  private final long[] finished;
  private final long[][] left;

  /**
   * @param goalDays within how many days the goal counts
   */
  DayTally(int horizonDays, int goalDays) {
    this.horizonDays = horizonDays;
    this.goalDays = goalDays;
    int days = horizonDays + 2;
    goals = new long[days];
    goalsUnmet = new long[days];
    unsubscribed = new long[days];
    stayedSubscribed = new long[days];
    emails = new long[days];
    followed = new long[days];
    finished = new long[days];
    left = new long[REASONS][days];
  }

  /**
   * Counts a visit that is over or has come to the horizon. Days that are followed only in part do
   * not count, so that as many could have met the goal on a day as did.
   */
  void close(long entryAt, long goalAt, long unsubscribesAt, long end) {
    int seen = Math.min(horizonDays, Days.passed(end - entryAt));
    followed[seen]++;
    count(entryAt, goalAt, Math.min(seen, goalDays), goals, goalsUnmet);
    count(entryAt, unsubscribesAt, seen, unsubscribed, stayedSubscribed);
  }

  private static void count(long entryAt, long at, int seen, long[] happened, long[] not) {
    boolean inTime = at != Person.NEVER && at - entryAt <= (long) seen * DAY && seen > 0;
    if (inTime) {
      happened[Math.min(seen - 1, Days.passed(Math.max(0, at - entryAt)))]++;
    } else {
      not[seen]++;
    }
  }

  void email(long sinceEntry) {
    emails[Math.min(horizonDays, Days.passed(sinceEntry))]++;
  }

  void finishes(long sinceEntry) {
    finished[dayAfter(sinceEntry)]++;
  }

  void leaves(LeaveReason reason, long sinceEntry) {
    left[reason.ordinal()][dayAfter(sinceEntry)]++;
  }

  /** The first whole day at which something has happened. */
  private int dayAfter(long sinceEntry) {
    return Math.min(horizonDays + 1, Days.reached(sinceEntry));
  }

  void combine(DayTally other) {
    StepTally.add(goals, other.goals);
    StepTally.add(goalsUnmet, other.goalsUnmet);
    StepTally.add(unsubscribed, other.unsubscribed);
    StepTally.add(stayedSubscribed, other.stayedSubscribed);
    StepTally.add(emails, other.emails);
    StepTally.add(followed, other.followed);
    StepTally.add(finished, other.finished);
    for (int i = 0; i < REASONS; i++) {
      StepTally.add(left[i], other.left[i]);
    }
  }

  void counts(Counts counts) {
    counts.of(goals);
    counts.of(goalsUnmet);
    counts.of(unsubscribed);
    counts.of(stayedSubscribed);
    counts.of(emails);
    counts.of(followed);
    counts.of(finished);
    for (long[] reason : left) {
      counts.of(reason);
    }
  }

  /** Goals met in each day since entry; day 0 is the first 24 hours. */
  public long[] goals() {
    return goals.clone();
  }

  /** Visits without the goal, by how many whole days they could have met it in. */
  public long[] goalsUnmet() {
    return goalsUnmet.clone();
  }

  /** People who unsubscribed in each day since entry. */
  public long[] unsubscribed() {
    return unsubscribed.clone();
  }

  /** Visits of people who did not unsubscribe, by whole days that they were followed. */
  public long[] stayedSubscribed() {
    return stayedSubscribed.clone();
  }

  /** Emails sent in each day since entry. */
  public long[] emails() {
    return emails.clone();
  }

  /** Visits by how many whole days they were followed. */
  public long[] followed() {
    return followed.clone();
  }

  /** Finished by each whole day since entry but not by the one before; day 0 is at once. */
  public long[] finished() {
    return finished.clone();
  }

  /** The same for those who left. */
  public long[] left(LeaveReason reason) {
    return left[reason.ordinal()].clone();
  }
}
