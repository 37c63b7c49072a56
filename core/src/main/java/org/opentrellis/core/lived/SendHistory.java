package org.opentrellis.core.lived;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.function.Consumer;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Happenings;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;

/** What became of each email of a visit, called by the step or variant that it went out as. */
final class SendHistory {
  private SendHistory() {}

  /**
   * @param person by whom they are known; one who came twice is one person
   * @param until what happens later is not seen
   */
  static void of(Visit visit, int person, long until, Consumer<SendRecord> to) {
    for (int n = 0; n < visit.sends(); n++) {
      Sent sent = visit.sentInOrder(n);
      if (!sent.text() && sent.at() <= until) {
        to.accept(record(sent, person, until));
      }
    }
  }

  private static SendRecord record(Sent sent, int number, long until) {
    Visit visit = sent.visit();
    Person person = visit.person();
    ZoneId zone = person.clock().zone();
    boolean unsubscribed = visit.unsubscribedBy(until) == sent.send();
    return new SendRecord(
        Integer.toString(number),
        called(visit.program().sends().get(sent.send()), sent.variant()).value(),
        zone,
        Instant.ofEpochSecond(sent.at()),
        moment(sent.bouncedAt() <= until ? Person.NEVER : sent.at(), until),
        moment(sent.recordedOpenAt(), until),
        moment(sent.clickAt(), until),
        moment(unsubscribed ? person.unsubscribesAt() : Person.NEVER, until),
        moment(boughtAfter(sent.at(), person), until));
  }

  /** What a history calls each message that a journey sends. */
  static StepId called(Step.Send step, int variant) {
    return step.versions().isEmpty() ? step.id() : step.versions().get(variant).id();
  }

  private static long boughtAfter(long at, Person person) {
    long first = Person.NEVER;
    Happenings bought = person.purchases();
    for (int n = 0; n < bought.size(); n++) {
      if (bought.at(n) >= at) {
        first = Math.min(first, bought.at(n));
      }
    }
    return first;
  }

  private static Optional<Instant> moment(long at, long until) {
    return at <= until ? Optional.of(Instant.ofEpochSecond(at)) : Optional.empty();
  }
}
