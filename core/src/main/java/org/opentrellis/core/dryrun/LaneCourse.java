package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;

/** The course of one of some {@link Lanes}. Mutable, for speed. */
final class LaneCourse implements Course {
  private final Lanes lanes;
  private int lane;
  private boolean over;

  LaneCourse(Lanes lanes) {
    this.lanes = lanes;
  }

  /**
   * @param isOver whether they are out of the journey
   */
  Course of(int which, boolean isOver) {
    lane = which;
    over = isOver;
    return this;
  }

  @Override
  public long entryAt() {
    return lanes.entryAt[lane];
  }

  @Override
  public long end() {
    return lanes.endsAt[lane];
  }

  @Override
  public long until() {
    return over ? lanes.now[lane] : lanes.endsAt[lane];
  }

  @Override
  public long pathKey() {
    return lanes.pathKey[lane];
  }

  @Override
  public long goalAt() {
    return lanes.goalAt[lane] <= lanes.endsAt[lane] ? lanes.goalAt[lane] : Person.NEVER;
  }

  @Override
  public boolean secondaryGoalMet(int n) {
    throw new IllegalStateException("a plain journey has none");
  }

  @Override
  public long goneAt() {
    return lanes.goneAt[lane];
  }

  @Override
  public long unsubscribesAt() {
    return lanes.unsubscribesAt[lane];
  }

  @Override
  public long complainsAt() {
    return lanes.complainsAt[lane];
  }

  @Override
  public int unsubscribedBy() {
    return lanes.unsubscribesAt[lane] <= lanes.endsAt[lane] ? lanes.unsubscribesBy[lane] : -1;
  }

  @Override
  public int sends() {
    return lanes.sends[lane];
  }

  @Override
  public int emails() {
    return lanes.sends[lane];
  }

  @Override
  public int sendInOrder(int n) {
    return lanes.order[n][lane];
  }

  @Override
  public long sentAt(int send) {
    return lanes.sentAt[send][lane];
  }

  @Override
  public long deliveredAt(int send) {
    return lanes.deliveredAt[send][lane];
  }

  @Override
  public long recordedOpenAt(int send) {
    return lanes.recordedOpenAt[send][lane];
  }

  @Override
  public long peopleOpenAt(int send) {
    return lanes.peopleOpenAt[send][lane];
  }

  @Override
  public long clickAt(int send) {
    return lanes.clickAt[send][lane];
  }

  @Override
  public int purchases() {
    return lanes.purchases[lane];
  }

  @Override
  public long boughtAt(int n) {
    return lanes.boughtAt[lane][n];
  }

  @Override
  public long cents(int n) {
    return lanes.cents[lane][n];
  }
}
