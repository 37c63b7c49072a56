package org.opentrellis.app.live;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.dryruns.RunProgress;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.lived.LivedRun;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.report.RunReport;
import org.springframework.stereotype.Service;

/**
 * Tells of journeys that run what a dry run tells of simulated people: the lives in the log are
 * lived once more and counted.
 */
@Service
class LiveReports {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

  private final OpenJourneys open;
  private final EditionMapper editions;
  private final HappeningMapper log;
  private final LoggedLives lives;
  private final Journeys journeys;
  private final DryRuns runs;
  private final ZoneClocks clocks;
  private final Account account;
  private final AccountClock clock;

  LiveReports(
      OpenJourneys open,
      EditionMapper editions,
      HappeningMapper log,
      LoggedLives lives,
      Journeys journeys,
      DryRuns runs,
      ZoneClocks clocks,
      Account account,
      AccountClock clock) {
    this.open = open;
    this.editions = editions;
    this.log = log;
    this.lives = lives;
    this.journeys = journeys;
    this.runs = runs;
    this.clocks = clocks;
    this.account = account;
    this.clock = clock;
  }

  /**
   * Begins to count those who have entered a journey as it was opened last; what comes of it is
   * kept beside the dry runs.
   *
   * @throws ProblemsFound if nobody has come to it yet
   */
  RunProgress begin(long journey) {
    List<Long> people = log.cameTo(journey);
    long first = log.firstEntry(journey).orElse(0L);
    if (people.isEmpty() || first == 0) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "nobody-yet",
                  "",
                  "Nobody has entered this journey yet, so there is nothing to tell.")));
    }
    Edition.Opened opened = (Edition.Opened) editions.opened(journey).orElseThrow().edition();
    Journey told = LiveNames.shown(opened.plan(), journeys.names());
    Editions all = open.current();
    long until = clock.now();
    Instant start = Instant.ofEpochSecond(Math.floorDiv(first, ZoneClock.DAY) * ZoneClock.DAY);
    int days =
        (int)
            Math.min(
                CohortSettings.LONGEST_HORIZON_DAYS,
                Math.floorDiv(until - start.getEpochSecond(), ZoneClock.DAY) + 1);
    LivedRun lived =
        new LivedRun(
            all,
            LiveNames.of(journey),
            opened.version(),
            World.compile(List.of(told), opened.catalogue(), all.world(all.newest()).products()),
            number -> lives.of(people.get(number)),
            clocks.around(until),
            start,
            days,
            until);
    KeptRun.Part part =
        new KeptRun.Part(journey, opened.version(), told, journeys.find(journey).behaviour());
    Counted counted = new Counted(lived, people.size());
    return runs.begin(
        new DryRuns.Lived(part, opened.catalogue(), people.size(), start, days),
        counted::report,
        () -> who(journey, counted, first, until));
  }

  /** What is counted once, and asked about afterwards. */
  private final class Counted {
    private final LivedRun lived;
    private final int people;
    private long entered;

    Counted(LivedRun lived, int people) {
      this.lived = lived;
      this.people = people;
    }

    RunReport report() {
      Tallies tallies = lived.tallies(people);
      entered = tallies.journey().entered();
      return RunReport.of(lived, tallies, account.texting());
    }
  }

  private String who(long journey, Counted counted, long first, long until) {
    ZoneId zone = account.zone();
    String days =
        "%s to %s"
            .formatted(
                DAY.format(LocalDate.ofInstant(Instant.ofEpochSecond(first), zone)),
                DAY.format(LocalDate.ofInstant(Instant.ofEpochSecond(until), zone)));
    StringBuilder who =
        new StringBuilder(
            "What really happened from %s: %s."
                .formatted(
                    days,
                    counted.entered == 1 ? "1 entry" : "%,d entries".formatted(counted.entered)));
    int others = counted.lived.others();
    if (others > 0) {
      who.append(
          " %,d on earlier versions of the journey %s not counted."
              .formatted(others, others == 1 ? "is" : "are"));
    }
    long forgotten = log.forgotten(journey);
    if (forgotten > 0) {
      who.append(
          " Neither %s %,d of people who were forgotten."
              .formatted(forgotten == 1 ? "is" : "are", forgotten));
    }
    return who.toString();
  }
}
