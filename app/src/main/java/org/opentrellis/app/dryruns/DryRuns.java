package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.RunSummary;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** Makes dry runs and keeps them. */
@Service
public class DryRuns {
  /** The most people that one request may ask for. */
  static final int MOST_PEOPLE = 1_000_000;

  private static final DryRunOrder ESTIMATE = new DryRunOrder(3_000, 1, 90);

  private final DryRunMapper mapper;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Clock clock;
  private final int threads = Runtime.getRuntime().availableProcessors();

  DryRuns(DryRunMapper mapper, Journeys journeys, Catalogues catalogues, Clock clock) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /**
   * Sends a cohort through a journey as it is saved now, and keeps the run.
   *
   * @throws ProblemsFound if the order is out of range
   */
  public DryRunView run(long journeyId, int people, long seed, int horizonDays) {
    return run(journeyId, new DryRunOrder(people, seed, horizonDays));
  }

  DryRunView run(long journeyId, DryRunOrder order) {
    check(order);
    KeptJourney kept = journeys.find(journeyId);
    Catalogue catalogue = catalogues.current();
    CohortSettings cohort = KeptRun.cohort(order, thisMonday());
    long begun = System.nanoTime();
    RunMeasures measures = measure(kept, catalogue, cohort);
    long millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
    NewDryRunRow row =
        new NewDryRunRow(
            summary(kept, cohort, measures, millis), content(kept, catalogue, cohort, measures));
    mapper.insert(row);
    return view(Objects.requireNonNull(row.id));
  }

  /** A quick look at a journey as it is saved now; nothing is kept. */
  RunMeasures estimate(long journeyId) {
    return measure(
        journeys.find(journeyId), catalogues.current(), KeptRun.cohort(ESTIMATE, thisMonday()));
  }

  private RunMeasures measure(KeptJourney kept, Catalogue catalogue, CohortSettings cohort) {
    return RunMeasures.of(
        new DryRun(kept.journey(), catalogue, kept.behaviour(), cohort).run(threads));
  }

  /** The newest runs in short, newest first. */
  List<DryRunSummary> newest() {
    return mapper.newest().stream().map(SummaryRow::summary).toList();
  }

  DryRunView view(long id) {
    KeptRun run = find(id);
    return new DryRunView(
        run.summary(),
        Documents.write(run.journey()),
        Documents.write(Strands.expand(run.journey(), run.catalogue())),
        RunSheet.of(run.journey(), run.catalogue()),
        Documents.write(run.behaviour()),
        run.measures(),
        RunSummary.of(run.measures()));
  }

  /**
   * A run with all that it was made with.
   *
   * @throws NotFound if there is none
   */
  public KeptRun find(long id) {
    SummaryRow summary = mapper.summary(id).orElseThrow(() -> NotFound.of("dry run", id));
    return kept(summary, mapper.content(id).orElseThrow());
  }

  private static void check(DryRunOrder order) {
    Problems problems = new Problems();
    if (order.people() < 1 || order.people() > MOST_PEOPLE) {
      problems.add(
          "bad-value",
          "/people",
          "A dry run takes 1 to %,d people, not %,d.".formatted(MOST_PEOPLE, order.people()));
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

  /** Cohorts start on a Monday, so that runs of one week meet the same weekdays. */
  private Instant thisMonday() {
    return OffsetDateTime.now(clock)
        .withOffsetSameInstant(ZoneOffset.UTC)
        .toLocalDate()
        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
        .atStartOfDay(ZoneOffset.UTC)
        .toInstant();
  }

  private SummaryRow summary(
      KeptJourney kept, CohortSettings cohort, RunMeasures measures, long millis) {
    Share goal = measures.goal();
    List<EmailOrder.Place> places = EmailOrder.of(measures);
    return new SummaryRow(
        0,
        kept.id(),
        kept.version(),
        kept.journey().name(),
        kept.journey().purpose(),
        cohort.people(),
        cohort.seed(),
        cohort.horizonDays(),
        OffsetDateTime.now(clock),
        millis,
        measures.entered(),
        goal == null ? null : goal.count(),
        places.isEmpty() ? null : places.get(places.size() - 1).step().reach().count());
  }

  private static DryRunRow content(
      KeptJourney kept, Catalogue catalogue, CohortSettings cohort, RunMeasures measures) {
    return new DryRunRow(
        Json.write(Documents.write(kept.journey())),
        Json.write(Documents.write(kept.behaviour())),
        Json.write(Documents.write(catalogue)),
        cohort.start().atOffset(ZoneOffset.UTC),
        Json.write(measures));
  }

  private static KeptRun kept(SummaryRow summary, DryRunRow content) {
    Catalogue catalogue = Documents.readCatalogue(Json.tree(content.catalogue()));
    CohortSettings cohort =
        CohortSettings.of(
            summary.people(), summary.seed(), content.startAt().toInstant(), summary.horizonDays());
    return new KeptRun(
        summary.summary(),
        Documents.readJourney(Json.tree(content.document()), catalogue),
        catalogue,
        Documents.readBehaviour(Json.tree(content.behaviour())),
        cohort,
        Json.read(content.results(), RunMeasures.class));
  }
}
