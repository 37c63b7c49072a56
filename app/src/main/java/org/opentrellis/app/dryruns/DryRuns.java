package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Circles;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.CohortWords;
import org.opentrellis.core.report.RunReport;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** Makes dry runs and keeps them. */
@Service
public class DryRuns {
  /** The most people that one request may ask for. */
  static final int MOST_PEOPLE = 1_000_000;

  /** Larger runs leave a processor to whatever else is asked meanwhile. */
  private static final int LARGE = 100_000;

  private static final int MOST_JOURNEYS = 6;
  private static final int ESTIMATE_PEOPLE = 3_000;
  private static final int ESTIMATE_DAYS = 90;

  private final RunStore store;
  private final RunDesk desk;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Cohorts cohorts;
  private final Account account;
  private final Clock clock;
  private final int processors = Runtime.getRuntime().availableProcessors();

  DryRuns(
      RunStore store,
      RunDesk desk,
      Journeys journeys,
      Catalogues catalogues,
      Cohorts cohorts,
      Account account,
      Clock clock) {
    this.store = store;
    this.desk = desk;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.cohorts = cohorts;
    this.account = account;
    this.clock = clock;
  }

  /**
   * Sends a cohort through a journey as it is saved now, and keeps the run.
   *
   * @return the run's id
   */
  public long run(long journey, CohortPlan cohort, @Nullable String name, long seed, int days) {
    KeptJourney kept = journeys.find(journey);
    RunSetup setup =
        new RunSetup(
            List.of(kept),
            catalogues.current(),
            cohort,
            name,
            CohortSettings.of(cohort, seed, thisMonday(), days));
    return make(setup, RunControl.NONE);
  }

  /**
   * Begins a run of the journeys as they are saved now.
   *
   * @throws ProblemsFound if the order is out of range
   */
  RunProgress begin(RunOrder order) {
    RunSetup setup = setup(order);
    return desk.begin(setup.cohort().people(), job -> job.done(make(setup, job), null));
  }

  private long make(RunSetup setup, RunControl control) {
    long begun = System.nanoTime();
    DryRun run = setup.dryRun();
    RunReport report = RunReport.of(run, run.run(threads(setup.cohort().people()), control));
    return store.keep(setup, report, TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun));
  }

  private int threads(int people) {
    return people > LARGE ? Math.max(1, processors - 1) : processors;
  }

  /** Begins to make a kept run again, to see whether it comes to the same figures. */
  RunProgress repeat(long id) {
    KeptRun kept = store.find(id);
    return desk.begin(
        kept.cohort().people(),
        job -> {
          DryRun run = kept.again();
          RunReport report = RunReport.of(run, run.run(threads(kept.cohort().people()), job));
          boolean same = report.journeys().equals(kept.report().journeys());
          store.keepResults(id, report);
          job.done(
              id,
              same
                  ? "Made again: every figure is the same."
                  : "Made again with engine %d instead of %d: the figures are new."
                      .formatted(report.engine(), kept.engine()));
        });
  }

  /** A quick look at a journey as it is saved now; nothing is kept. */
  RunMeasures estimate(long journeyId) {
    KeptJourney kept = journeys.find(journeyId);
    CohortSettings settings = CohortSettings.of(ESTIMATE_PEOPLE, 1, thisMonday(), ESTIMATE_DAYS);
    return RunMeasures.of(
        new DryRun(kept.journey(), catalogues.current(), kept.behaviour(), settings)
            .run(processors));
  }

  /** The pinned runs and then the newest, a line for each of their journeys. */
  List<DryRunSummary> newest(@Nullable Long journey) {
    return store.newest(journey);
  }

  DryRunView view(long id) {
    KeptRun run = find(id);
    return new DryRunView(
        Documents.write(run.cohort()),
        CohortWords.of(run.cohort()),
        IntStream.range(0, run.parts().size()).mapToObj(number -> part(run, number)).toList(),
        run.report().outgoing(),
        account.limits().of(run.report().outgoing()),
        run.engine() == DryRun.ENGINE
            ? null
            : "Made by engine %d; the present one is %d, so making it again may give other figures."
                .formatted(run.engine(), DryRun.ENGINE));
  }

  private static DryRunView.JourneyOfRun part(KeptRun run, int number) {
    KeptRun.Part part = run.parts().get(number);
    return new DryRunView.JourneyOfRun(
        run.summary(number),
        Documents.write(part.journey()),
        Documents.write(Strands.expand(part.journey(), run.catalogue())),
        RunSheet.of(part.journey(), run.catalogue()),
        Documents.write(part.behaviour()),
        run.report().journeys().get(number));
  }

  /**
   * A run with all that it was made with.
   *
   * @throws NotFound if there is none
   */
  public KeptRun find(long id) {
    return store.find(id);
  }

  /**
   * Names a run, or pins it.
   *
   * @throws ProblemsFound if the name is too long
   * @throws NotFound if there is no such run
   */
  void label(long id, RunLabel label) {
    String given = label.name();
    String name = given == null || given.isBlank() ? null : GivenName.of("A run", given, "/name");
    store.label(id, name, label.pinned());
  }

  void delete(long id) {
    store.delete(id);
  }

  /**
   * @throws ProblemsFound if something in the order is out of range
   */
  RunSetup setup(RunOrder order) {
    List<Long> wanted = order.journeys();
    if (wanted.isEmpty()
        || wanted.size() > MOST_JOURNEYS
        || wanted.stream().distinct().count() != wanted.size()) {
      throw refused(
          "/journeys",
          "A dry run takes one to %d different journeys together.".formatted(MOST_JOURNEYS));
    }
    CohortPlan cohort = Cohorts.read(order.cohort());
    check(order, cohort);
    List<KeptJourney> kept = wanted.stream().map(journeys::find).toList();
    var catalogue = catalogues.current();
    refuseOneName(kept);
    List<Journey> expanded =
        kept.stream().map(one -> Strands.expand(one.journey(), catalogue)).toList();
    Circles.find(expanded)
        .ifPresent(
            circle -> {
              throw refused(
                  "/journeys",
                  "People would go round in a circle without a wait: %s."
                      .formatted(
                          String.join(" to ", circle.stream().map(Object::toString).toList())));
            });
    return new RunSetup(
        kept, catalogue, cohort, cohorts.nameOf(order.cohortId(), cohort), settings(order, cohort));
  }

  private CohortSettings settings(RunOrder order, CohortPlan cohort) {
    try {
      return CohortSettings.of(cohort, order.seed(), thisMonday(), order.horizonDays());
    } catch (Refused refused) {
      throw ProblemsFound.refused("/cohort/arrivals", refused);
    }
  }

  private static void refuseOneName(List<KeptJourney> kept) {
    long names = kept.stream().map(one -> one.journey().name()).distinct().count();
    if (names < kept.size()) {
      throw refused(
          "/journeys",
          "Journeys that run together need different names: they hand people to each other by name.");
    }
  }

  private static void check(RunOrder order, CohortPlan cohort) {
    Problems problems = new Problems();
    if (cohort.people() > MOST_PEOPLE) {
      problems.add(
          "bad-value",
          "/cohort/people",
          "A dry run takes 1 to %,d people, not %,d.".formatted(MOST_PEOPLE, cohort.people()));
    }
    int longest = CohortSettings.LONGEST_HORIZON_DAYS;
    if (order.horizonDays() < 1 || order.horizonDays() > longest) {
      problems.add(
          "bad-value",
          "/horizonDays",
          "People are followed for 1 to %d days, not %d.".formatted(longest, order.horizonDays()));
    }
    problems.throwIfAny();
  }

  private static ProblemsFound refused(String place, String sentence) {
    return new ProblemsFound(List.of(new Problem("bad-value", place, sentence)));
  }

  /** Cohorts start on a Monday, so that runs of one week meet the same weekdays. */
  private Instant thisMonday() {
    return OffsetDateTime.now(clock)
        .withOffsetSameInstant(ZoneOffset.UTC)
        .toLocalDate()
        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
        .atStartOfDay(ZoneOffset.UTC)
        .toInstant();
  }
}
