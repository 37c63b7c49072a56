package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/**
 * Dry runs of people who really came to a journey: each comes again as they were, at the moment at
 * which they did, and from then on does what is assumed of people. Other journeys do nothing to
 * them meanwhile, and nobody changes their record.
 *
 * <p>Immutable; may be run from several threads.
 */
public final class AsTheyCame {
  private static final long MINUTE = 60;

  private final List<Arrival> arrivals;
  private final Function<ZoneId, ZoneClock> clocks;
  private final Instant start;
  private final int days;
  private final long until;
  private final World world;
  private final Cohort cohort;
  private final Background background;

  /**
   * @param arrivals in whatever order; somebody who came twice is there twice
   * @param clocks by zone, from the first arrival on
   * @param start of the first day that is counted
   * @param days how many
   * @param until the end of what is looked at, in epoch seconds
   */
  public AsTheyCame(
      Journey journey,
      Catalogue catalogue,
      Behaviour behaviour,
      List<Arrival> arrivals,
      Function<ZoneId, ZoneClock> clocks,
      Instant start,
      int days,
      long until) {
    this.arrivals = List.copyOf(arrivals);
    this.clocks = clocks;
    this.start = start;
    this.days = days;
    this.until = until;
    world = World.compile(List.of(journey), catalogue, Shop.products(behaviour));
    cohort = new Cohort(world, List.of(behaviour), CohortSettings.of(1, 0, start, days));
    background = new Background(cohort.shop());
  }

  /** Takes them all through once; the same seed gives the same tallies. */
  public Tallies once(long seed) {
    Tallies tallies = new Tallies(world, start, days);
    JourneyMachine machine = new JourneyMachine(cohort, tallies);
    long runKey = Draws.runKey(seed);
    for (int number = 0; number < arrivals.size(); number++) {
      Person person = again(arrivals.get(number), number, runKey);
      machine.run(person, until);
      machine.close(person);
      tallies.close(person, number);
    }
    tallies.finish();
    return tallies;
  }

  /**
   * Takes them all through so many times, each time with other draws; the first time with seed 0.
   *
   * @param look what is kept of each run
   * @return by run
   * @throws RunCancelled if the control says so, which counts runs here
   */
  public <T> List<T> often(int runs, Effort effort, Function<Tallies, T> look) {
    Map<Integer, T> all = new ConcurrentHashMap<>();
    Chunks.run(runs, effort, () -> (Chunks.Worker) run -> all.put(run, look.apply(once(run))));
    return IntStream.range(0, runs).mapToObj(all::get).toList();
  }

  private Person again(Arrival arrival, int number, long runKey) {
    Person person = Standing.thaw(arrival.before(), world, clocks);
    Traits who = new Traits(cohort.groups().getFirst());
    who.become(number, Draws.personKey(runKey, number), cohort);
    person.traits(who);
    person.endsAt(until);
    person.comes(0, arrival.trigger(), arrival.at());
    buys(person, who, arrival);
    who.group.addEvents(person, who.key, arrival.at(), until);
    return person;
  }

  /** From time to time, or what lies in the cart that they left. */
  private void buys(Person person, Traits who, Arrival arrival) {
    List<Trigger> triggers = world.programs().getFirst().journey().triggers();
    int cart = person.carts().size() - 1;
    if (arrival.trigger() >= 0
        && triggers.get(arrival.trigger()) instanceof Trigger.LeavesCart left
        && cart >= 0) {
      background.returnsToCart(
          person,
          who.key,
          arrival.at(),
          left.minutes() * MINUTE,
          person.carts().what(cart),
          person.carts().cents(cart));
    } else {
      background.buysAnyway(person, arrival.at(), until);
    }
  }
}
