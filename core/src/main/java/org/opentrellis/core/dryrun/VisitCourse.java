package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;

/** The course of a visit. */
record VisitCourse(Visit visit, long end) implements Course {
  @Override
  public long entryAt() {
    return visit.entryAt();
  }

  @Override
  public long until() {
    return visit.over() ? visit.now() : end;
  }

  @Override
  public long pathKey() {
    return visit.pathKey();
  }

  @Override
  public long goalAt() {
    return visit.goalMetAt(end);
  }

  @Override
  public boolean secondaryGoalMet(int n) {
    return visit.secondaryGoalMetAt(n, end) <= end;
  }

  @Override
  public long goneAt() {
    return visit.person().goneAt();
  }

  @Override
  public long unsubscribesAt() {
    return visit.person().unsubscribesAt();
  }

  @Override
  public long complainsAt() {
    return visit.person().complainsAt();
  }

  @Override
  public int unsubscribedBy() {
    int by = visit.unsubscribedBy(end);
    return by >= 0 && visit.sent(by).bouncedAt() == Person.NEVER ? by : -1;
  }

  @Override
  public int sends() {
    return visit.sends();
  }

  @Override
  public int emails() {
    return visit.emails();
  }

  @Override
  public int sendInOrder(int n) {
    return visit.sentInOrder(n).send();
  }

  @Override
  public long sentAt(int send) {
    return visit.sent(send).at();
  }

  @Override
  public long deliveredAt(int send) {
    return visit.sent(send).deliveredAt();
  }

  @Override
  public long recordedOpenAt(int send) {
    return visit.sent(send).recordedOpenAt();
  }

  @Override
  public long peopleOpenAt(int send) {
    return visit.sent(send).peopleOpenAt();
  }

  @Override
  public long clickAt(int send) {
    return visit.sent(send).clickAt();
  }

  @Override
  public int purchases() {
    return visit.person().purchases().size();
  }

  @Override
  public long boughtAt(int n) {
    return visit.person().purchases().at(n);
  }

  @Override
  public long cents(int n) {
    return visit.person().purchases().cents(n);
  }
}
