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
    boolean opened = false;
    boolean byPeople = false;
    boolean clicked = false;
    for (int send : sends) {
      Sent one = visit.sent(send);
      if (one.at() <= end) {
        moreSent += one != first ? 1 : 0;
        opened |= one.recordedOpenAt() <= end;
        byPeople |= one.peopleOpenAt() <= end;
        clicked |= one.clickAt() <= end;
      }
    }
    openedFirst += first.recordedOpenAt() <= end ? 1 : 0;
    openedAny += opened ? 1 : 0;
    openedAnyByPeople += byPeople ? 1 : 0;
    clickedAny += clicked ? 1 : 0;
  }

  void combine(ChainTally other) {
    deliveredFirst += other.deliveredFirst;
    openedFirst += other.openedFirst;
    openedAny += other.openedAny;
    openedAnyByPeople += other.openedAnyByPeople;
    clickedAny += other.clickedAny;
    moreSent += other.moreSent;
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
