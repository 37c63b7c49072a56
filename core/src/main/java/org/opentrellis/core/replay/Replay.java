package org.opentrellis.core.replay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/**
 * Drives one person with what really happened. The machine learns of each thing at its moment and
 * not before, as it does when journeys run for real.
 */
public final class Replay {

  /** Says which way a lot fell. */
  @FunctionalInterface
  public interface Lots {
    int way(int step, Visit visit);
  }

  private final Person person;
  private final Lots lots;
  private final JourneyMachine machine;
  private final List<Happening> history;

  /**
   * @param person with their record, whom nothing has happened to
   * @param history in any order; what happens at one moment happens in the order given
   */
  public Replay(Person person, List<? extends Happening> history, Lots lots, Witness witness) {
    this.person = person;
    this.lots = lots;
    this.history = new ArrayList<>(history);
    this.history.sort(Comparator.comparingLong(Happening::at));
    this.machine = new JourneyMachine(new Recorded(), witness);
  }

  /**
   * Runs the whole history.
   *
   * @param end the last epoch second that is looked at
   */
  public void run(long end) {
    while (!history.isEmpty() && history.get(0).at() <= end) {
      long at = history.get(0).at();
      machine.run(person, at - 1);
      List<Happening> now = new ArrayList<>();
      // What happens to a message at the very moment it goes out is noted when it does.
      history.removeIf(one -> one.at() == at && isKnown(one) && now.add(one));
      now.forEach(this::note);
      if (now.isEmpty()) {
        machine.run(person, at);
        history.removeIf(one -> one.at() == at);
      }
    }
    machine.run(person, end);
    machine.close(person);
  }

  private boolean isKnown(Happening happening) {
    return !(happening instanceof Happening.OfMessage of) || visit(of.message()) != null;
  }

  private @org.jspecify.annotations.Nullable Visit visit(Happening.Sent message) {
    for (Visit visit : person.visits()) {
      if (visit.program().number() == message.journey()
          && visit.number() == message.visit()
          && visit.sent(message.send()).at() != Person.NEVER) {
        return visit;
      }
    }
    return null;
  }

  private void note(Happening happening) {
    long at = happening.at();
    if (happening instanceof Happening.OfMessage of) {
      note(of, java.util.Objects.requireNonNull(visit(of.message())));
    } else if (happening instanceof Happening.Comes comes) {
      person.comes(comes.journey(), comes.trigger(), at);
    } else if (happening instanceof Happening.Bought bought) {
      person.buys(at, bought.offer(), bought.cents());
    } else if (happening instanceof Happening.Experienced experienced) {
      person.experiences(at, experienced.event());
    } else if (happening instanceof Happening.Unsubscribed) {
      person.unsubscribes(at);
    } else {
      person.complains(at);
    }
  }

  private void note(Happening.OfMessage happening, Visit visit) {
    Sent message = visit.sent(happening.message().send());
    long at = happening.at();
    if (happening instanceof Happening.Delivered) {
      message.delivered(at);
    } else if (happening instanceof Happening.Bounced bounced) {
      message.bounced(at);
      if (bounced.forGood()) {
        person.bouncesForGood(at);
      }
    } else if (happening instanceof Happening.OpenRecorded) {
      message.recordsOpen(at);
    } else if (happening instanceof Happening.Opened) {
      message.opens(at);
    } else if (happening instanceof Happening.Clicked clicked) {
      message.clicks(clicked.link(), at);
    } else {
      Happening.Ordered ordered = (Happening.Ordered) happening;
      message.orders(at, ordered.offer(), ordered.cents());
    }
  }

  private final class Recorded implements Outside {
    @Override
    public int lot(int step, double[] ways, Visit visit) {
      return lots.way(step, visit);
    }

    @Override
    public void send(Sent sent) {
      Visit visit = sent.visit();
      Happening.Sent message =
          new Happening.Sent(visit.program().number(), visit.number(), sent.send());
      List<Happening> now = new ArrayList<>();
      history.removeIf(
          one ->
              one.at() == visit.now()
                  && one instanceof Happening.OfMessage of
                  && of.message().equals(message)
                  && now.add(one));
      now.forEach(Replay.this::note);
    }
  }
}
