package org.opentrellis.core.dryrun;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.machine.JourneyMachine;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;

/**
 * Sends a simulated cohort through one journey, or through several together as one population.
 * People are independent and their draws are addressed, so the same settings give bit-identical
 * tallies for any number of threads.
 *
 * <p>Immutable; may be run many times and from several threads.
 */
public final class DryRun {
  private static final int TELL_EVERY = 1024;

  private final World world;
  private final World heldOutWorld;
  private final CohortSettings settings;
  private final Cohort cohort;
  private final Cohort heldOutCohort;
  private final Arrivals arrivals;
  private final Arrivals heldOutArrivals;
  private final boolean sendsTexts;

  /**
   * @param journeys no two of one name
   * @param behaviours by journey; the first says who the people are
   */
  public DryRun(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      CohortSettings settings) {
    var products = Shop.products(behaviours.get(0));
    this.settings = settings;
    world = World.compile(journeys, catalogue, products);
    cohort = new Cohort(world, behaviours, settings);
    arrivals = new Arrivals(world, settings, cohort.shop());
    sendsTexts =
        world.programs().stream()
            .flatMap(program -> program.sends().stream())
            .anyMatch(org.opentrellis.core.journey.Step.SendText.class::isInstance);
    if (settings.holdOut() == 0) {
      heldOutWorld = world;
      heldOutCohort = cohort;
      heldOutArrivals = arrivals;
    } else {
      // Those held out enter the same journeys, with nothing in them.
      List<Journey> empty = journeys.stream().map(journey -> journey.withBody(List.of())).toList();
      heldOutWorld = World.compile(empty, catalogue, products);
      heldOutCohort = new Cohort(heldOutWorld, behaviours, settings);
      heldOutArrivals = new Arrivals(heldOutWorld, settings, heldOutCohort.shop());
    }
  }

  /** One journey. */
  public DryRun(
      Journey journey, Catalogue catalogue, Behaviour behaviour, CohortSettings settings) {
    this(List.of(journey), catalogue, List.of(behaviour), settings);
  }

  /** The journeys as they are run; tallies go by their numbers. */
  public World world() {
    return world;
  }

  public CohortSettings settings() {
    return settings;
  }

  /** Where the first group's people live; plans are told in their time. */
  public java.time.ZoneId zone() {
    return cohort.groups().get(0).clock.zone();
  }

  /** Runs everyone, in so many threads. */
  public Tallies run(int threads) {
    return run(threads, RunControl.NONE);
  }

  /**
   * Runs everyone, in so many threads.
   *
   * @throws RunCancelled if the control says so
   */
  public Tallies run(int threads, RunControl control) {
    if (threads < 1) {
      throw new IllegalArgumentException("threads must be at least 1, not " + threads);
    }
    if (threads == 1) {
      return part(0, settings.people(), control);
    }
    ExecutorService pool = Executors.newFixedThreadPool(threads);
    try {
      List<Future<Tallies>> parts = new ArrayList<>();
      for (int i = 0; i < threads; i++) {
        int from = bound(i, threads);
        int to = bound(i + 1, threads);
        parts.add(pool.submit(() -> part(from, to, control)));
      }
      Tallies all = null;
      for (Future<Tallies> part : parts) {
        all = all == null ? part.get() : all.combine(part.get());
      }
      return all;
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException why) {
        throw why;
      }
      throw new IllegalStateException("a dry run failed", failed);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new RunCancelled();
    } finally {
      pool.shutdownNow();
    }
  }

  private int bound(int part, int parts) {
    return (int) ((long) settings.people() * part / parts);
  }

  private Tallies part(int from, int to, RunControl control) {
    Tallies tallies = new Tallies(world, settings);
    Life life = new Life(tallies);
    int sinceTold = 0;
    for (int person = from; person < to; person++) {
      life.of(person);
      if (++sinceTold == TELL_EVERY || person == to - 1) {
        control.reached(sinceTold);
        sinceTold = 0;
      }
    }
    return tallies;
  }

  /**
   * Takes one person through again and tells what happens; nothing of it is stored anywhere.
   *
   * @param number of the person, from 0
   * @return the person afterwards
   */
  public Person follow(int number, Witness witness) {
    return new Life(new Tallies(world, settings), witness).of(number);
  }

  /**
   * A person as they are before anything happens, with what their record says and, if wanted, what
   * will happen to them whatever is sent. For other drivers of the same people.
   */
  public Person newcomer(int number, boolean withFate) {
    Life life = new Life(new Tallies(world, settings));
    life.sampler.become(Draws.personKey(settings.seed(), number));
    if (withFate) {
      life.prepare(life.person, life.sampler, arrivals);
    } else {
      life.fill(life.person, life.sampler);
    }
    return life.person;
  }

  /** Whether each person meets the goal of the first journey in any of their visits. */
  PersonOutcome outcomes() {
    Life life = new Life(new Tallies(world, settings));
    return number -> {
      Person person = life.of(number);
      for (Visit visit : person.visits()) {
        if (visit.program().number() == 0
            && JourneyMachine.goalMetAt(visit, life.end) <= life.end) {
          return true;
        }
      }
      return false;
    };
  }

  /** Answers whether a person of the cohort meets the goal. */
  @FunctionalInterface
  interface PersonOutcome {
    boolean goalMet(int person);
  }

  /** One thread's working state: people go through it one after another. */
  private final class Life {
    private final Tallies tallies;
    private final Sampler sampler = new Sampler(cohort);
    private final JourneyMachine machine;
    private final Person person;
    private final HeldOut heldOut;
    long end;

    Life(Tallies tallies) {
      this(tallies, tallies);
    }

    Life(Tallies tallies, Witness witness) {
      this.tallies = tallies;
      machine = new JourneyMachine(sampler, witness);
      person = world.newPerson(cohort.groups().get(0).clock);
      heldOut = new HeldOut();
    }

    Person of(int number) {
      sampler.become(Draws.personKey(settings.seed(), number));
      if (settings.holdOut() > 0 && sampler.heldOut(settings.holdOut())) {
        return heldOut.of(number, tallies);
      }
      prepare(person, sampler, arrivals);
      machine.run(person, end);
      machine.close(person);
      tallies.close(person, number, end);
      return person;
    }

    /** Whoever comes to a cart has left one; that replaces what they would buy anyway. */
    private void prepare(Person someone, Sampler draws, Arrivals coming) {
      GroupDraws group = draws.group();
      fill(someone, draws);
      long first = coming.first(someone, draws);
      end = first + (long) settings.horizonDays() * ZoneClock.DAY;
      draws.background(someone, coming.fromCart() ? first : null, first, end);
      group.addEvents(someone, draws.key(), first, end);
    }

    private void fill(Person someone, Sampler draws) {
      someone.begin(draws.group().clock);
      draws.group().fillRecord(someone, draws.key());
      someone.agreesToTexts(sendsTexts && draws.agreesToTexts());
    }

    /** The same for people who get nothing. */
    private final class HeldOut {
      private final Sampler draws = new Sampler(heldOutCohort);
      private final Person someone = heldOutWorld.newPerson(heldOutCohort.groups().get(0).clock);
      private final JourneyMachine idle = new JourneyMachine(draws, Witness.NOBODY);

      Person of(int number, Tallies counts) {
        draws.become(Draws.personKey(settings.seed(), number));
        prepare(someone, draws, heldOutArrivals);
        idle.run(someone, end);
        counts.heldOut(someone, end);
        return someone;
      }
    }
  }
}
