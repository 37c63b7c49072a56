package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/**
 * Takes people on from where they really stand: what has happened to them stays, what they will do
 * is drawn; how keen they are goes with what they did with what they got. Of a message that has
 * arrived and was not read yet, it is drawn whether they still read it; whoever has read one and
 * not clicked does not click in it any more. Immutable; may be run from several threads.
 */
public final class GoingOn {
  /** Of so many keennesses that people have, one is taken that goes with what somebody did. */
  private static final int CANDIDATES = 24;

  private final World world;
  private final Cohort cohort;
  private final Background background;
  private final Function<ZoneId, ZoneClock> clocks;
  private final long from;
  private final long until;

  /** Is told of each message that goes out. */
  @FunctionalInterface
  public interface Sends {
    /**
     * @param journey its position among the journeys
     * @param at in epoch seconds
     */
    void sent(int journey, boolean text, long at);
  }

  /**
   * @param journeys those that people are in or come to, no two of one name
   * @param behaviours by journey; the first says who the people are
   * @param clocks by zone, quick from the present on
   * @param from the present
   * @param days how far is looked
   */
  public GoingOn(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      Function<ZoneId, ZoneClock> clocks,
      Instant from,
      int days) {
    this.clocks = clocks;
    this.from = from.getEpochSecond();
    this.until = this.from + (long) days * ZoneClock.DAY;
    world = World.compile(journeys, catalogue, Shop.products(behaviours.getFirst()));
    cohort = new Cohort(world, behaviours, CohortSettings.of(1, 0, from, days));
    background = new Background(cohort.shop());
  }

  /**
   * Takes somebody on once; the same seed and number go the same way.
   *
   * @param number who it is
   * @param comings when they come to which journeys besides, such as to newsletters
   */
  public void once(
      PersonState standing, long number, long seed, Map<JourneyName, Long> comings, Sends sends) {
    JourneyMachine machine = new JourneyMachine(cohort, new Telling(sends));
    Person person = Standing.thaw(standing, world, clocks);
    Traits who = new Traits(cohort.groups().getFirst());
    who.become((int) number, Draws.personKey(Draws.runKey(seed), (int) number), cohort);
    // They have got mail, so their address was not dead.
    who.deadAddress &= standing.sentAt().isEmpty();
    machine.takeUp(person);
    person.traits(who);
    person.endsAt(until);
    comings.forEach(
        (journey, at) -> world.current(journey).ifPresent(to -> person.comes(to.number(), 0, at)));
    background.buysAnyway(person, from, until);
    who.group.addEvents(person, who.key, from, until);
    who.keenness = keenness(person, who);
    unread(person);
    machine.run(person, until);
  }

  /** Drawn of those that people have, as far as what they did with what they got goes with it. */
  private double keenness(Person person, Traits who) {
    List<Sent> got = new ArrayList<>();
    for (int n = 0; n < person.visitCount(); n++) {
      Visit visit = person.visit(n);
      for (int i = 0; i < visit.sends(); i++) {
        Sent sent = visit.sentInOrder(i);
        if (sent.deliveredAt() != Person.NEVER && !sent.text()) {
          got.add(sent);
        }
      }
    }
    if (got.isEmpty()) {
      return who.keenness;
    }
    double[] drawn = new double[CANDIDATES];
    double[] upTo = new double[CANDIDATES];
    double sum = 0;
    for (int n = 0; n < CANDIDATES; n++) {
      drawn[n] = who.group.keenness.draw(Draws.bits(who.key, n), Purposes.KEENNESS);
      double likely = 1;
      for (Sent sent : got) {
        likely *= ((Sampler) cohort.of(sent.visit().program())).likelihood(sent, drawn[n], from);
      }
      sum += likely;
      upTo[n] = sum;
    }
    double lot = Draws.uniform(who.key, Purposes.STILL_OPENS) * sum;
    for (int n = 0; n < CANDIDATES; n++) {
      if (lot < upTo[n]) {
        return drawn[n];
      }
    }
    return who.keenness;
  }

  private void unread(Person person) {
    for (int n = 0; n < person.visitCount(); n++) {
      Visit visit = person.visit(n);
      if (visit.over()) {
        continue;
      }
      for (int i = 0; i < visit.sends(); i++) {
        Sent sent = visit.sentInOrder(i);
        if (sent.deliveredAt() != Person.NEVER && sent.peopleOpenAt() == Person.NEVER) {
          ((Sampler) cohort.of(visit.program())).goesOn(sent, from);
        }
      }
    }
  }

  private record Telling(Sends sends) implements Witness {
    @Override
    public void sent(int step, Sent message) {
      Program program = message.visit().program();
      sends.sent(program.number(), message.text(), message.at());
    }
  }
}
