package org.opentrellis.app.live;

import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.VisitState;

/**
 * Somebody who is inside a journey.
 *
 * @param version the edition whose plan they go through
 * @param untilAt until when they wait at the step; null if nothing says so
 */
record VisitRow(
    long personId,
    long journeyId,
    int number,
    int version,
    String step,
    long enteredAt,
    long steppedAt,
    @Nullable Long untilAt) {

  /** Which visit it is. */
  record Key(long personId, long journeyId, int number) {}

  Key key() {
    return new Key(personId, journeyId, number);
  }

  static final Comparator<VisitRow> IN_ORDER =
      Comparator.comparingLong(VisitRow::journeyId).thenComparingInt(VisitRow::number);

  /** Of a visit that is not over. */
  static VisitRow of(long person, VisitState visit) {
    boolean waits =
        visit.waiting() && visit.until() != Person.NEVER && visit.until() > visit.steppedAt();
    return new VisitRow(
        person,
        LiveNames.number(visit.journey()),
        visit.number(),
        visit.version(),
        visit.step().orElseThrow().value(),
        visit.entryAt(),
        visit.steppedAt(),
        waits ? visit.until() : null);
  }
}
