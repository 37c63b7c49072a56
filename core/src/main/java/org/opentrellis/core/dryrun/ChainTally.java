package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Program;

/** Counts of an email and its further tries, read as one. Integers only. */
public final class ChainTally {
  private final int[] sends;
  private long deliveredFirst;
  private long openedFirst;
  private long openedAny;
  private long openedAnyByPeople;
  private long clickedAny;
  private long moreSent;

  /**
   * @param sends by number, the first try first
   */
  ChainTally(int[] sends) {
    this.sends = sends;
  }

  /** Counts a visit whose first try was delivered, once the visit is over. */
  void close(Course course) {
    int first = sends[0];
    long end = course.end();
    if (course.sentAt(first) > end || course.deliveredAt(first) > end) {
      return;
    }
    deliveredFirst++;
    long openedAt = course.recordedOpenAt(first);
    long openedByPeopleAt = course.peopleOpenAt(first);
    long clickedAt = course.clickAt(first);
    openedFirst += openedAt <= end ? 1 : 0;
    for (int n = 1; n < sends.length; n++) {
      int next = sends[n];
      moreSent += course.sentAt(next) <= end ? 1 : 0;
      openedAt = Math.min(openedAt, course.recordedOpenAt(next));
      openedByPeopleAt = Math.min(openedByPeopleAt, course.peopleOpenAt(next));
      clickedAt = Math.min(clickedAt, course.clickAt(next));
    }
    openedAny += openedAt <= end ? 1 : 0;
    openedAnyByPeople += openedByPeopleAt <= end ? 1 : 0;
    clickedAny += clickedAt <= end ? 1 : 0;
  }

  void combine(ChainTally other) {
    deliveredFirst += other.deliveredFirst;
    openedFirst += other.openedFirst;
    openedAny += other.openedAny;
    openedAnyByPeople += other.openedAnyByPeople;
    clickedAny += other.clickedAny;
    moreSent += other.moreSent;
  }

  void counts(Counts counts) {
    deliveredFirst = counts.of(deliveredFirst);
    openedFirst = counts.of(openedFirst);
    openedAny = counts.of(openedAny);
    openedAnyByPeople = counts.of(openedAnyByPeople);
    clickedAny = counts.of(clickedAny);
    moreSent = counts.of(moreSent);
  }

  /** The sends by their numbers in the program, the first try first. */
  public int[] sends() {
    return sends.clone();
  }

  /** The name of a try. */
  public String step(Program program, int n) {
    return program.sends().get(sends[n]).id().value();
  }

  /** People who got the first try. */
  public long deliveredFirst() {
    return deliveredFirst;
  }

  /** Of those, who opened that one, recorded. */
  public long openedFirst() {
    return openedFirst;
  }

  /** Of those, who opened any try, recorded. */
  public long openedAny() {
    return openedAny;
  }

  /** Of those, who read any try. */
  public long openedAnyByPeople() {
    return openedAnyByPeople;
  }

  /** Of those, who clicked in any try. */
  public long clickedAny() {
    return clickedAny;
  }

  /** Further tries that went out to them. */
  public long moreSent() {
    return moreSent;
  }
}
