package org.opentrellis.core.dryrun;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;

/** What happened in a dry run: in each journey, and altogether. Integers only, and mergeable. */
public final class Tallies implements Witness {
  /** More emails than this in a week count as so many. */
  private static final int MOST_IN_A_WEEK = 50;

  private final World world;
  private final JourneyTally[] journeys;
  private final JourneyCounter[] counters;
  private final SendCalendar emails;
  private final SendCalendar texts;
  private final long[] mostInAWeek = new long[MOST_IN_A_WEEK + 1];
  private long people;

  Tallies(World world, CohortSettings settings) {
    this(world, settings.start(), settings.horizonDays());
  }

  /**
   * Empty ones.
   *
   * @param start of the first day that is counted
   * @param days how many
   */
  public Tallies(World world, Instant start, int days) {
    this.world = world;
    this.journeys =
        world.programs().stream()
            .map(program -> new JourneyTally(program, days))
            .toArray(JourneyTally[]::new);
    long firstDay = Math.floorDiv(start.getEpochSecond(), (long) ZoneClock.DAY);
    this.emails = new SendCalendar(firstDay);
    this.texts = new SendCalendar(firstDay);
    this.counters =
        Arrays.stream(journeys)
            .map(journey -> new JourneyCounter(journey, emails, texts))
            .toArray(JourneyCounter[]::new);
  }

  @Override
  public Witness of(Program program) {
    return counters[program.number()];
  }

  /** Counts a person, once their time is over. */
  void close(Person person, int number) {
    people++;
    mostInAWeek[Math.min(MOST_IN_A_WEEK, person.mostEmailsInAWeek())]++;
    long end = person.endsAt();
    for (int n = 0; n < person.visitCount(); n++) {
      Visit visit = person.visit(n);
      journeys[visit.program().number()].close(visit, number, n, end);
    }
  }

  /**
   * Counts a person with their only visit.
   *
   * @param mostInAWeek the most emails that they got within any seven days
   */
  void close(Course course, int number, int mostInAWeek) {
    people++;
    this.mostInAWeek[Math.min(MOST_IN_A_WEEK, mostInAWeek)]++;
    journeys[0].close(course, number, 0);
  }

  /** Counts a person with some of their visits, each as one to the first journey. */
  public void close(Person person, int number, Predicate<Visit> which) {
    people++;
    mostInAWeek[Math.min(MOST_IN_A_WEEK, person.mostEmailsInAWeek())]++;
    for (int n = 0; n < person.visitCount(); n++) {
      if (which.test(person.visit(n))) {
        journeys[0].close(person.visit(n), number, n, person.endsAt());
      }
    }
  }

  /** Counts a person who got nothing. */
  void heldOut(Person person) {
    people++;
    long end = person.endsAt();
    person.visits().forEach(visit -> journeys[visit.program().number()].heldOut(visit, end));
  }

  /** Once everybody has been counted. */
  public void finish() {
    for (JourneyTally journey : journeys) {
      journey.finish();
    }
  }

  /** Adds other people of the same run; their paths are told by {@link #paths}. */
  Tallies combine(Tallies other) {
    people += other.people;
    StepTally.add(mostInAWeek, other.mostInAWeek);
    emails.combine(other.emails);
    texts.combine(other.texts);
    for (int i = 0; i < journeys.length; i++) {
      journeys[i].combine(other.journeys[i]);
    }
    return this;
  }

  /**
   * Adds another part of the same run. Parts of the pioneers are put together in their order, by
   * {@link #ofPioneers}; all behind them in whatever order.
   */
  public Tallies and(Tallies other) {
    combine(other);
    for (int i = 0; i < journeys.length; i++) {
      journeys[i].paths().combine(other.journeys[i].paths());
    }
    return this;
  }

  /**
   * Puts the parts of the pioneers together.
   *
   * @param parts at least one, in their order; what is in the first is gone afterwards
   */
  public static Tallies ofPioneers(List<Tallies> parts) {
    Tallies all = parts.get(0);
    Paths[] first = Arrays.stream(all.journeys).map(JourneyTally::paths).toArray(Paths[]::new);
    all.paths(Arrays.stream(first).map(ways -> Paths.ofAll()).toArray(Paths[]::new));
    for (int i = 0; i < first.length; i++) {
      all.journeys[i].paths().combine(first[i]);
    }
    parts.subList(1, parts.size()).forEach(all::and);
    return all;
  }

  /** Gives away the paths of a chunk of people, by journey, and begins those of the next. */
  Paths[] takePaths() {
    return Arrays.stream(journeys).map(JourneyTally::takePaths).toArray(Paths[]::new);
  }

  /** Sets the paths of all people, by journey. */
  Tallies paths(Paths[] all) {
    for (int i = 0; i < journeys.length; i++) {
      journeys[i].paths(all[i]);
    }
    return this;
  }

  /** Everything that is counted; it must be finished. */
  void counts(Counts counts) {
    people = counts.of(people);
    counts.of(mostInAWeek);
    emails.counts(counts);
    texts.counts(counts);
    for (JourneyTally journey : journeys) {
      journey.counts(counts);
    }
  }

  public World world() {
    return world;
  }

  /** People of the cohort. */
  public long people() {
    return people;
  }

  /** By the journeys' numbers. */
  public List<JourneyTally> journeys() {
    return List.of(journeys);
  }

  /** The first journey, or the only one. */
  public JourneyTally journey() {
    return journeys[0];
  }

  /** Emails of all journeys. */
  public SendCalendar emails() {
    return emails;
  }

  /**
   * People who were not held out, by the most emails that they got within any seven days, from all
   * journeys together.
   */
  public long[] mostInAWeek() {
    return mostInAWeek.clone();
  }

  /** Texts of all journeys. */
  public SendCalendar texts() {
    return texts;
  }
}
