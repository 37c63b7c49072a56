package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.DryRun;
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
  private final int threads = Runtime.getRuntime().availableProcessors();

  RunStore(DryRunMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /**
   * @return the run's id
   */
  long keep(RunSetup setup, RunReport report, long millis) {
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
                Json.write(report)));
    mapper.insert(run);
    long id = Objects.requireNonNull(run.id);
    List<Behaviour> behaviours = setup.behaviours();
    for (int number = 0; number < setup.journeys().size(); number++) {
      RunMeasures measures = report.journeys().get(number).measures();
      mapper.insertJourney(
          row(id, number, setup.journeys().get(number), behaviours.get(number), measures));
    }
    return id;
  }

  private static RunJourneyRow row(
      long run, int number, KeptJourney kept, Behaviour behaviour, RunMeasures measures) {
    List<StepMeasures> messages = EmailOrder.of(measures);
    return new RunJourneyRow(
        run,
        number,
        kept.id(),
        kept.version(),
        kept.journey().name(),
        kept.journey().purpose(),
        measures.entered(),
        measures.goal() == null ? null : measures.goal().count(),
        messages.isEmpty() ? null : messages.get(messages.size() - 1).reach().count(),
        Json.write(Documents.write(kept.journey())),
        Json.write(Documents.write(behaviour)));
  }

  /** One journey of each run in short, the pinned first, then the newest. */
  List<DryRunSummary> newest(@Nullable Long journey) {
    return mapper.newest(journey).stream().map(SummaryRow::summary).toList();
  }

  /**
   * @throws NotFound if there is none
   */
  KeptRun find(long id) {
    RunRow row = mapper.find(id).orElseThrow(() -> NotFound.of("dry run", id));
    Catalogue catalogue = Documents.readCatalogue(Json.tree(row.catalogue()));
    List<KeptRun.Part> parts =
        mapper.journeys(id).stream().map(part -> part(part, catalogue)).toList();
    CohortPlan cohort = cohort(row, parts);
    DryRun again =
        KeptRun.again(
            parts, catalogue, cohort, row.seed(), row.startAt().toInstant(), row.horizonDays());
    RunReport report =
        row.results() == null ? anew(row, again) : Json.read(row.results(), RunReport.class);
    return new KeptRun(
        row.id(),
        row.name(),
        row.pinned(),
        row.madeAt(),
        row.millis(),
        report.engine(),
        cohort,
        row.cohortName(),
        row.seed(),
        row.startAt().toInstant(),
        row.horizonDays(),
        catalogue,
        parts,
        report);
  }

  private RunReport anew(RunRow row, DryRun again) {
    RunReport report = RunReport.of(again, again.run(threads));
    keepResults(row.id(), report);
    return report;
  }

  void keepResults(long id, RunReport report) {
    mapper.keepResults(id, report.engine(), Json.write(report));
  }

  private static KeptRun.Part part(RunJourneyRow row, Catalogue catalogue) {
    return new KeptRun.Part(
        row.journeyId(),
        row.journeyVersion(),
        Documents.readJourney(Json.tree(row.document()), catalogue),
        Documents.readBehaviour(Json.tree(row.behaviour())));
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
