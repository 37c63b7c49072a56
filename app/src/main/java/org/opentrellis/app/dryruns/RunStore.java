package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.report.RunReport;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps runs with all that they were made with. */
@Component
@Transactional
class RunStore {
  private final DryRunMapper mapper;
  private final Clock clock;

  RunStore(DryRunMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * @return the run's id
   */
  long keep(RunSetup setup, RunMade made, long millis) {
    return keep(setup, made.report(), made.counts(), millis, null, false);
  }

  /**
   * The same of what people really went through.
   *
   * @param lived who they are, as a sentence
   */
  long keep(RunSetup setup, RunReport report, long millis, @Nullable String lived) {
    return keep(setup, report, null, millis, lived, false);
  }

  /**
   * The same of a variation of a journey, which never was what the journey says.
   *
   * @param name what it is called
   */
  long keepAside(RunSetup setup, RunMade made, long millis, String name) {
    long id = keep(setup, made.report(), made.counts(), millis, null, true);
    mapper.label(id, name, false);
    return id;
  }

  private long keep(
      RunSetup setup,
      RunReport report,
      byte @Nullable [] counts,
      long millis,
      @Nullable String lived,
      boolean aside) {
    NewRunRow run =
        new NewRunRow(
            new RunRow(
                0,
                null,
                false,
                OffsetDateTime.now(clock),
                millis,
                report.engine(),
                setup.cohort().people(),
                Json.write(Documents.write(setup.cohort())),
                setup.cohortName(),
                setup.settings().seed(),
                setup.settings().start().atOffset(ZoneOffset.UTC),
                setup.settings().horizonDays(),
                Json.write(Documents.write(setup.catalogue())),
                Json.write(report),
                null,
                lived,
                aside),
            counts);
    mapper.insert(run);
    long id = Objects.requireNonNull(run.id);
    for (int number = 0; number < setup.parts().size(); number++) {
      RunMeasures measures = report.journeys().get(number).measures();
      mapper.insertJourney(row(id, number, setup.parts().get(number), measures));
    }
    return id;
  }

  private static RunJourneyRow row(long run, int number, KeptRun.Part part, RunMeasures measures) {
    List<StepMeasures> messages = EmailOrder.of(measures);
    return new RunJourneyRow(
        run,
        number,
        part.journeyId(),
        part.version(),
        part.journey().name(),
        part.journey().purpose(),
        measures.entered(),
        measures.goal() == null ? null : measures.goal().count(),
        messages.isEmpty() ? null : messages.get(messages.size() - 1).reach().count(),
        Json.write(Documents.write(part.journey())),
        Json.write(Documents.write(part.behaviour())));
  }

  /** One journey of each run in short, the pinned first, then the newest. */
  RunPage newest(@Nullable Long journey, int from, int most) {
    return new RunPage(
        mapper.newest(journey, from, most).stream().map(SummaryRow::summary).toList(),
        mapper.count(journey));
  }

  /** The newest run of each of some journeys that has one. */
  Map<Long, DryRunSummary> newestOf(List<Long> journeys) {
    return mapper.newestOf(journeys).stream()
        .map(SummaryRow::summary)
        .collect(Collectors.toMap(DryRunSummary::journeyId, run -> run));
  }

  /**
   * A run as it is kept; its results may be missing.
   *
   * @throws NotFound if there is none
   */
  KeptRun find(long id) {
    RunRow row = mapper.find(id).orElseThrow(() -> NotFound.of("dry run", id));
    Catalogue catalogue = Documents.readCatalogue(Json.tree(row.catalogue()));
    List<KeptRun.Part> parts =
        mapper.journeys(id).stream().map(part -> part(part, catalogue)).toList();
    CohortPlan cohort = cohort(row, parts);
    return new KeptRun(
        row.id(),
        row.name(),
        row.pinned(),
        row.madeAt(),
        row.millis(),
        row.engine(),
        cohort,
        row.cohortName(),
        row.seed(),
        row.startAt().toInstant(),
        row.horizonDays(),
        catalogue,
        parts,
        row.results() == null ? null : Json.read(row.results(), RunReport.class),
        row.resultsAt(),
        row.lived(),
        row.aside());
  }

  /** Keeps what a run showed when it was made again. */
  void keepResults(long id, RunMade made) {
    mapper.keepResults(
        id,
        made.report().engine(),
        Json.write(made.report()),
        made.counts(),
        OffsetDateTime.now(clock));
  }

  /** Keeps how a run's counts are told now; the counts themselves stay. */
  void retell(long id, RunReport report) {
    mapper.retell(id, Json.write(report));
  }

  /** What a run counted, in its compact form; null if that was not kept. */
  byte @Nullable [] counts(long id) {
    return mapper.counts(id).map(DryRunMapper.KeptCounts::counts).orElse(null);
  }

  private static KeptRun.Part part(RunJourneyRow row, Catalogue catalogue) {
    return new KeptRun.Part(
        row.journeyId(),
        row.journeyVersion(),
        Documents.readKeptJourney(row.document(), catalogue),
        Documents.readKeptBehaviour(row.behaviour()));
  }

  private static CohortPlan cohort(RunRow row, List<KeptRun.Part> parts) {
    return row.cohort() == null
        ? CohortPlan.of(row.people(), parts.get(0).behaviour().groups())
        : Documents.readCohort(Json.tree(row.cohort()));
  }

  /**
   * @throws NotFound if there is none
   */
  void label(long id, @Nullable String name, boolean pinned) {
    if (mapper.label(id, name, pinned) == 0) {
      throw NotFound.of("dry run", id);
    }
  }

  /**
   * @throws NotFound if there is none
   */
  void delete(long id) {
    if (mapper.delete(id) == 0) {
      throw NotFound.of("dry run", id);
    }
  }
}
