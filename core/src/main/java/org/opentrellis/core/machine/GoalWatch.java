package org.opentrellis.core.machine;

/** When a visit meets one goal of its journey. */
final class GoalWatch {
  /** When it was met, as far as time has come. */
  private long metAt;

  /** When it is going to be met, as far as is known; good up to where it was looked. */
  private long comesAt;

  /** Up to when it has not been met. */
  private long lookedTo;

  void begin(long entryAt) {
    metAt = Person.NEVER;
    comesAt = Person.NEVER;
    lookedTo = entryAt;
  }

  /** When it is met, as far as is known. */
  long at() {
    return Math.min(metAt, comesAt);
  }

  /**
   * A goal that was going to be met by now has been met.
   *
   * @param from the present
   * @param upTo the last moment that is looked at
   */
  void look(Aim aim, Visit visit, long from, long upTo) {
    if (metAt != Person.NEVER) {
      return;
    }
    if (comesAt > from) {
      long limit = visit.entryAt + aim.seconds();
      long since = Math.max(visit.entryAt, Math.min(lookedTo, visit.person.lateFrom));
      if ((aim.what().about() & Evidence.RECORD) != 0) {
        since = Math.max(since, visit.person.recordChangedAt);
      }
      comesAt = aim.what().firstHolds(visit, since, Math.min(upTo, limit));
      lookedTo = Math.max(lookedTo, from);
    }
    if (comesAt <= from) {
      metAt = comesAt;
    }
  }

  VisitState.Met freeze() {
    return new VisitState.Met(metAt, comesAt, lookedTo);
  }

  void thaw(VisitState.Met met) {
    metAt = met.at();
    comesAt = met.comesAt();
    lookedTo = met.lookedTo();
  }
}
