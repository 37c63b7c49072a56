package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;

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
  void close(Visit visit, long end) {
    Sent first = visit.sent(sends[0]);
    if (first.at() > end || first.deliveredAt() > end) {
      return;
    }
    deliveredFirst++;
    long openedAt = first.recordedOpenAt();
    long openedByPeopleAt = first.peopleOpenAt();
    long clickedAt = first.clickAt();
    openedFirst += openedAt <= end ? 1 : 0;
    for (int n = 1; n < sends.length; n++) {
      Sent next = visit.sent(sends[n]);
      moreSent += next.at() <= end ? 1 : 0;
      openedAt = Math.min(openedAt, next.recordedOpenAt());
      openedByPeopleAt = Math.min(openedByPeopleAt, next.peopleOpenAt());
      clickedAt = Math.min(clickedAt, next.clickAt());
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
