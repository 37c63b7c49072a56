package org.opentrellis.core.walk;

import java.util.Objects;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;

/**
 * Drives one person with choices: what they will do with a message is said when it is sent, and
 * then known ahead.
 */
public final class Walk {
  private final Person person;
  private final Diary diary = new Diary();
  private final JourneyMachine machine;

  /**
   * @param person with their record and what brings them in
   */
  public Walk(Person person, Choices choices) {
    this.person = person;
    this.machine = new JourneyMachine(new Chosen(choices, null), diary);
  }

  /**
   * @param otherwise decides what no choice is made about
   */
  public Walk(Person person, Choices choices, Outside otherwise) {
    this.person = person;
    this.machine = new JourneyMachine(new Chosen(choices, otherwise), diary);
  }

  /** Lets time pass up to a moment, in epoch seconds; what happens then still counts. */
  public void goOn(long end) {
    machine.run(person, end);
  }

  /** When something happens next, as far as is known, or {@link Person#NEVER}. */
  public long nextAt() {
    return machine.nextAt(person);
  }

  /** Writes down who is still where; the walk is over. */
  public void close() {
    machine.close(person);
  }

  public Diary diary() {
    return diary;
  }

  private record Chosen(Choices choices, @Nullable Outside otherwise) implements Outside {
    @Override
    public int lot(int step, double[] ways, Visit visit) {
      return choices.lot(step, ways.length, visit);
    }

    @Override
    public void send(Sent message) {
      Visit visit = message.visit();
      Reply reply = choices.to(message.send(), visit);
      if (reply == null) {
        Objects.requireNonNull(otherwise, "nothing decides what is not chosen").send(message);
        return;
      }
      long now = visit.now();
      if (reply.deadAddress()) {
        visit.person().bouncesForGood(now);
      }
      if (!reply.delivered()) {
        message.bounced(now);
        return;
      }
      message.delivered(now);
      at(reply.recordedOpen(), now, message::recordsOpen);
      at(reply.open(), now, message::opens);
      at(reply.unsubscribe(), now, visit.person()::unsubscribes);
      at(reply.complaint(), now, visit.person()::complains);
      at(reply.click(), now, moment -> message.clicks(reply.link(), moment));
      at(reply.buy(), now, moment -> message.orders(moment, reply.offer(), reply.cents()));
    }

    private static void at(OptionalLong after, long now, java.util.function.LongConsumer note) {
      after.ifPresent(seconds -> note.accept(now + seconds));
    }
  }
}
