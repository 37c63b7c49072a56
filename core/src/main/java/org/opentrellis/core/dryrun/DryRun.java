package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;

/**
 * Sends a simulated cohort through one journey, or through several together as one population.
 * People are independent and their draws are addressed, so the same settings give bit-identical
 * tallies for any number of threads.
 *
 * <p>Immutable; may be run many times and from several threads.
 */
public final class DryRun {
  /**
   * The version of how people are drawn. It grows whenever the same settings come to give other
   * figures.
   */
  public static final int ENGINE = 4;

  private static final int TELL_EVERY = 1024;

  private final CohortSettings settings;
  private final Population population;

  /** The same people with nothing in their journeys; null if nobody is held out. */
  private final @Nullable Population idle;

  /**
   * @param journeys no two of one name
   * @param behaviours by journey; the first says who the people are
   */
  public DryRun(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      CohortSettings settings) {
    this.settings = settings;
    population = new Population(journeys, catalogue, behaviours, settings);
    List<Journey> empty = journeys.stream().map(journey -> journey.withBody(List.of())).toList();
    idle = settings.holdOut() == 0 ? null : new Population(empty, catalogue, behaviours, settings);
  }

  /** One journey. */
  public DryRun(
      Journey journey, Catalogue catalogue, Behaviour behaviour, CohortSettings settings) {
    this(List.of(journey), catalogue, List.of(behaviour), settings);
  }

  /** The journeys as they are run; tallies go by their numbers. */
  public World world() {
    return population.world;
  }

  public CohortSettings settings() {
    return settings;
  }

  /** Where the first group's people live; plans are told in their time. */
  public java.time.ZoneId zone() {
    return population.cohort.groups().get(0).clock.zone();
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
    Tallies tallies = new Tallies(population.world, settings);
    PeopleRunner lives = new PeopleRunner(population, tallies);
    PeopleRunner heldOut = idle == null ? lives : new PeopleRunner(idle, Witness.NOBODY);
    int sinceTold = 0;
    for (int number = from; number < to; number++) {
      Person person = lives.unlessHeldOut(number, settings.holdOut());
      if (person == null) {
        tallies.heldOut(heldOut.of(number));
      } else {
        tallies.close(person, number);
      }
      if (++sinceTold == TELL_EVERY || number == to - 1) {
        control.reached(sinceTold);
        sinceTold = 0;
      }
    }
    tallies.finish();
    return tallies;
  }

  /**
   * Takes one person through again and tells what happens; nothing of it is stored anywhere.
   *
   * @param number of the person, from 0; one who is held out goes as if they were not
   * @return the person afterwards
   */
  public Person follow(int number, Witness witness) {
    return new PeopleRunner(population, witness).of(number);
  }

  /** Whether a person gets nothing, to be compared with. */
  public boolean isHeldOut(int number) {
    Person person = newcomer(number, false);
    return Traits.of(person).heldOut(settings.holdOut());
  }

  /**
   * A person as they are before anything happens, with what their record says and, if wanted, what
   * will happen to them whatever is sent. For other drivers of the same people.
   */
  public Person newcomer(int number, boolean withFate) {
    Person person = population.newPerson();
    population.become(person, number);
    if (withFate) {
      population.fate(person);
    }
    return person;
  }

  /** Decides as the people of this run do, for other drivers of them. */
  public Outside outside() {
    return population.cohort;
  }

  /**
   * A person who comes to the first journey at a moment of one's choice, and to whom nothing
   * happens but what the journey brings about.
   */
  public Person comer(int number, Instant at) {
    Person person = newcomer(number, false);
    long moment = at.getEpochSecond();
    person.comes(
        0, population.world.programs().get(0).journey().triggers().isEmpty() ? -1 : 0, moment);
    person.endsAt(moment + (long) settings.horizonDays() * ZoneClock.DAY);
    return person;
  }

  /** One thread's working state. */
  PeopleRunner lives(Witness witness) {
    return new PeopleRunner(population, witness);
  }
}
