package org.opentrellis.core.lived;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ObjIntConsumer;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.dryrun.Arrival;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.LoggedLife;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.report.Retold;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/**
 * What people really went through in a journey: their lives are lived once more by the log, and
 * counted by what counts a dry run's. Those count who began in one version of it; the others are
 * told of by their number.
 */
public final class LivedRun implements Retold {
  private final Editions editions;
  private final Function<ZoneId, ZoneClock> clocks;
  private final IntFunction<LoggedLife> lives;
  private final JourneyName journey;
  private final int version;
  private final World world;
  private final Instant start;
  private final int days;
  private final long until;
  private int others;

  /**
   * @param version that is counted
   * @param told that version by itself, as it is told
   * @param lives of people by their numbers, from 0
   * @param start when the first of them may have come
   * @param days that are told of, from somebody's entry on
   * @param until the end of what is looked at, in epoch seconds
   */
  public LivedRun(
      Editions editions,
      JourneyName journey,
      int version,
      World told,
      IntFunction<LoggedLife> lives,
      Function<ZoneId, ZoneClock> clocks,
      Instant start,
      int days,
      long until) {
    this.editions = editions;
    this.clocks = clocks;
    this.lives = lives;
    this.start = start;
    this.days = days;
    this.until = until;
    this.journey = journey;
    this.version = version;
    this.world = told;
  }

  @Override
  public World world() {
    return world;
  }

  @Override
  public Instant start() {
    return start;
  }

  /** Counts so many people. */
  public Tallies tallies(int people) {
    return look(people, visit -> {}, (visit, person) -> {});
  }

  /**
   * What so many people went through.
   *
   * @param tallies are counted
   * @param arrivals who came, as they were when they did
   * @param history what became of each message that went out to them
   */
  public record Lived(Tallies tallies, List<Arrival> arrivals, List<SendRecord> history) {}

  /** Counts so many people, and remembers how they came and what was sent to them. */
  public Lived lived(int people) {
    List<Arrival> arrivals = new ArrayList<>();
    List<SendRecord> history = new ArrayList<>();
    Tallies tallies =
        look(
            people,
            visit -> arrivals.add(arrival(visit)),
            (visit, person) -> SendHistory.of(visit, person, until, history::add));
    return new Lived(tallies, arrivals, history);
  }

  private Arrival arrival(Visit visit) {
    PersonState now = Standing.freeze(visit.person());
    return new Arrival(now.comingAt(visit.entryAt(), journey), visit.trigger(), visit.entryAt());
  }

  private Tallies look(int people, Consumer<Visit> entered, ObjIntConsumer<Visit> over) {
    Tallies tallies = new Tallies(world, start, days);
    Witness counter = tallies.of(world.programs().getFirst());
    OnePlan plan = new OnePlan(journey, version, counter, entered);
    for (int number = 0; number < people; number++) {
      plan.next();
      Person person = lives.apply(number).relive(editions, clocks, plan, until);
      tallies.close(person, number, plan::has);
      for (Visit visit : person.visits()) {
        if (plan.has(visit)) {
          over.accept(visit, number);
        }
      }
    }
    others = plan.others();
    tallies.finish();
    return tallies;
  }

  /** How many entered in other versions; good once they have been counted. */
  public int others() {
    return others;
  }

  @Override
  public List<Turn> turns(int person, int visit) {
    Diary diary = new Diary();
    Visit seen = lives.apply(person).relive(editions, clocks, diary, until).visits().get(visit);
    return Retold.turnsOf(seen, diary);
  }
}
