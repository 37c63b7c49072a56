package org.opentrellis.app.live;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.dryruns.RunProgress;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.lived.LivedRun;
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

  private final LivedJourneys lived;
  private final HappeningMapper log;
  private final Journeys journeys;
  private final DryRuns runs;
  private final Account account;

  LiveReports(
      LivedJourneys lived, HappeningMapper log, Journeys journeys, DryRuns runs, Account account) {
    this.lived = lived;
    this.log = log;
    this.journeys = journeys;
    this.runs = runs;
    this.account = account;
  }

  /**
   * Begins to count those who have entered a journey as it was opened last; what comes of it is
   * kept beside the dry runs.
   *
   * @throws ProblemsFound if nobody has come to it yet
   */
  RunProgress begin(long journey) {
    LivedJourney of = lived.of(journey);
    KeptRun.Part part =
        new KeptRun.Part(journey, of.version(), of.told(), journeys.find(journey).behaviour());
    Counted counted = new Counted(of.run(), of.people());
    return runs.begin(
        new DryRuns.Lived(part, of.catalogue(), of.people(), of.start(), of.days()),
        counted::report,
        () -> who(of, counted));
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

  private String who(LivedJourney of, Counted counted) {
    ZoneId zone = account.zone();
    String days =
        "%s to %s"
            .formatted(
                DAY.format(LocalDate.ofInstant(Instant.ofEpochSecond(of.first()), zone)),
                DAY.format(LocalDate.ofInstant(Instant.ofEpochSecond(of.until()), zone)));
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
    long forgotten = log.forgotten(of.journey());
    if (forgotten > 0) {
      who.append(
          " Neither %s %,d of people who were forgotten."
              .formatted(forgotten == 1 ? "is" : "are", forgotten));
    }
    return who.toString();
  }
}
