package org.opentrellis.core.dryrun;

import java.util.List;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;

/** What happened in a dry run: in each journey, and altogether. Integers only, and mergeable. */
public final class Tallies implements Witness {
  /** More emails than this in a week count as so many. */
  private static final int MOST_IN_A_WEEK = 50;

  private static final long WEEK = 7L * ZoneClock.DAY;

  private final World world;
  private final JourneyTally[] journeys;
  private final SendCalendar emails;
  private final SendCalendar texts;
  private final long[] mostInAWeek = new long[MOST_IN_A_WEEK + 1];
  private long people;

  Tallies(World world, CohortSettings settings) {
    this.world = world;
    this.journeys =
        world.programs().stream()
            .map(program -> new JourneyTally(program, settings.horizonDays()))
            .toArray(JourneyTally[]::new);
    long firstDay = Math.floorDiv(settings.start().getEpochSecond(), (long) ZoneClock.DAY);
    this.emails = new SendCalendar(firstDay);
    this.texts = new SendCalendar(firstDay);
  }

  private JourneyTally of(Visit visit) {
    return journeys[visit.program().number()];
  }

  @Override
  public void begins(Visit visit) {
    of(visit).begins();
  }

  @Override
  public void turnedAway(Program program, boolean byFilter, long at) {
    journeys[program.number()].turnedAway(byFilter);
  }

  @Override
  public void entered(int step, Visit visit) {
    of(visit).entered(step, visit);
  }

  @Override
  public void held(int step, long seconds, Visit visit) {
    of(visit).held(step, seconds);
  }

  /** The calendar goes by the person's own time, also where the journey keeps another. */
  @Override
  public void sent(int step, int send, Visit visit) {
    ZoneClock clock = visit.person().clock();
    long hour =
        visit.clock() == clock
            ? of(visit).localHour(visit)
            : Math.floorDiv(clock.local(visit.now()), 3600L);
    (visit.program().isText(send) ? texts : emails).accept(hour);
  }

  @Override
  public void skipped(int step, SkipReason reason, Visit visit) {
    of(visit).skipped(step, reason, visit);
  }

  @Override
  public void passed(int step, Visit visit) {
    of(visit).passed(step, visit);
  }

  @Override
  public void took(int step, int way, Visit visit) {
    of(visit).took(step, way, visit);
  }

  @Override
  public void left(int step, LeaveReason reason, Visit visit) {
    of(visit).left(step, reason, visit);
  }

  @Override
  public void finished(int step, Visit visit) {
    of(visit).finishes(step, visit);
  }

  @Override
  public void waiting(int step, Visit visit) {
    of(visit).waiting(step, visit);
  }

  /** Counts a person, once their time is over. */
  void close(Person person, int number) {
    people++;
    mostInAWeek[Math.min(MOST_IN_A_WEEK, person.mostEmailsWithin(WEEK))]++;
    long end = person.endsAt();
    List<Visit> visits = person.visits();
    for (int n = 0; n < visits.size(); n++) {
      Visit visit = visits.get(n);
      of(visit).close(visit, number, n, end);
    }
  }

  /** Counts a person who got nothing. */
  void heldOut(Person person) {
    people++;
    long end = person.endsAt();
    person.visits().forEach(visit -> of(visit).heldOut(visit, end));
  }

  /** Adds the part of the same run that comes after this one in order of people. */
  Tallies combine(Tallies later) {
    people += later.people;
    StepTally.add(mostInAWeek, later.mostInAWeek);
    emails.combine(later.emails);
    texts.combine(later.texts);
    for (int i = 0; i < journeys.length; i++) {
      journeys[i].combine(later.journeys[i]);
    }
    return this;
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
