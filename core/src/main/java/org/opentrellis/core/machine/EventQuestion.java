package org.opentrellis.core.machine;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Attribute;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.Operand;

/**
 * Whether something happened so many times.
 *
 * @param within so long ago at the most, or null for since entry
 */
record EventQuestion(Which which, int atLeast, @Nullable Amount within) implements Question {

  /** An event of a name that says something about itself. */
  record Which(int event, List<Said> where) {

    /** One thing that it says. */
    private record Said(AttributeName attribute, Comparison comparison) {}

    static Which of(EventName event, List<Attribute> where, Names names) {
      return new Which(
          names.events.of(event),
          where.stream()
              .map(one -> new Said(one.attribute(), Comparison.of(one.is(), one.values(), names)))
              .toList());
    }

    boolean fits(
        int happened,
        Map<AttributeName, Operand> payload,
        Person person,
        ZoneClock clock,
        long at) {
      if (happened != event) {
        return false;
      }
      for (Said one : where) {
        if (!one.comparison.holds(payload.get(one.attribute), person, clock, at)) {
          return false;
        }
      }
      return true;
    }

    boolean asksAnother() {
      return where.stream()
          .flatMap(one -> one.comparison.operands().stream())
          .anyMatch(Operand.OtherField.class::isInstance);
    }
  }

  @Override
  public int about() {
    return which.asksAnother() ? Evidence.EVENTS | Evidence.RECORD : Evidence.EVENTS;
  }

  @Override
  public boolean followsTheCalendar() {
    return which.where.stream().anyMatch(one -> one.comparison.followsTheCalendar());
  }

  @Override
  public boolean holds(Visit visit, long at) {
    Happenings events = visit.person.events();
    int count = 0;
    for (int n = 0; n < events.size() && events.at(n) <= at; n++) {
      if (fits(visit, n, at) && Recent.at(events.at(n), within, visit, at)) {
        count++;
      }
    }
    return count >= atLeast;
  }

  private boolean fits(Visit visit, int n, long at) {
    Person person = visit.person;
    return which.fits(person.events().what(n), person.payload(n), person, visit.clock, at);
  }

  @Override
  public long nextChange(Visit visit, long at) {
    long next = Recent.nextChange(visit.person.events(), within, visit, at);
    for (Which.Said one : which.where) {
      next = Math.min(next, one.comparison.nextChange(visit.clock, at));
    }
    return next;
  }
}
