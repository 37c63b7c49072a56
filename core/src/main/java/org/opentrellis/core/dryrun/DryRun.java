package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.util.Iterator;
import java.util.List;
import java.util.function.Supplier;
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
  public static final int ENGINE = 5;

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
    return run(Effort.of(threads));
  }

  /**
   * Runs everyone.
   *
   * @throws RunCancelled if the control says so
   */
  public Tallies run(Effort effort) {
    return counted(0, settings.people(), Paths::ofAll, effort);
  }

  /**
   * Runs some of the people, to be put together with the others by {@link Tallies#and}. Parts of
   * the first {@link Paths#PIONEERS} keep all ways apart, whatever there are; all others those that
   * are known.
   *
   * @param first the first person of the part
   * @param end the first person behind it
   * @param known what the pioneers together came to; null for a part of these
   * @throws RunCancelled if the control says so
   */
  public Tallies part(int first, int end, @Nullable Tallies known, Effort effort) {
    if (first < 0 || end <= first || end > settings.people()) {
      throw new IllegalArgumentException("no part from %d to %d".formatted(first, end));
    }
    if (known == null != end <= Paths.PIONEERS) {
      throw new IllegalArgumentException("a part is of the pioneers, or of those behind them");
    }
    if (known == null) {
      return counted(first, end, Paths::ofChunk, effort);
    }
    Iterator<JourneyTally> journeys = known.journeys().iterator();
    return counted(first, end, () -> journeys.next().paths().known(), effort);
  }

  private Tallies counted(int first, int end, Supplier<Paths> ways, Effort effort) {
    return counted(first, end, ways, effort, true);
  }

  /**
   * @param plainly whether people take the plain walk, if the journey lets them
   */
  Tallies counted(int first, int end, Supplier<Paths> ways, Effort effort, boolean plainly) {
    PathsInOrder paths = new PathsInOrder(population.world.programs().size(), ways);
    return Chunks.run(first, end, effort, () -> new Part(paths, plainly)).stream()
        .map(Part::finished)
        .reduce(Tallies::combine)
        .orElseThrow()
        .paths(paths.all());
  }

  /** What one thread counts. */
  private final class Part implements Chunks.Worker {
    private final Tallies tallies = new Tallies(population.world, settings);
    private final PeopleRunner lives = new PeopleRunner(population, tallies);
    private final PeopleRunner heldOut =
        idle == null ? lives : new PeopleRunner(idle, Witness.NOBODY);
    private final PathsInOrder paths;

    /** Null where people go by the machine. */
    private final @Nullable PlainWalk plain;

    Part(PathsInOrder paths, boolean plainly) {
      this.paths = paths;
      plain = plainly && idle == null ? PlainWalk.of(population, tallies).orElse(null) : null;
    }

    @Override
    public void take(int number) {
      if (plain != null) {
        plain.take(number);
        return;
      }
      Person person = lives.unlessHeldOut(number, settings.holdOut());
      if (person == null) {
        tallies.heldOut(heldOut.of(number));
      } else {
        tallies.close(person, number);
      }
    }

    @Override
    public void endsChunk(int chunk) {
      paths.add(chunk, tallies.takePaths());
    }

    Tallies finished() {
      tallies.finish();
      return tallies;
    }
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

  /** Whether people may take the plain walk. */
  boolean isPlain() {
    return idle == null
        && PlainWalk.of(population, new Tallies(population.world, settings)).isPresent();
  }

  /** One thread's working state. */
  PeopleRunner lives(Witness witness) {
    return new PeopleRunner(population, witness);
  }
}
