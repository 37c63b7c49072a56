package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.BehaviourFormat;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.format.JourneyReader;
import org.opentrellis.core.format.JourneyWriter;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
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
  private final MessageLibrary messages;
  private final Clock clock;
  private final int partitions = Runtime.getRuntime().availableProcessors();

  DryRuns(DryRunMapper mapper, Journeys journeys, MessageLibrary messages, Clock clock) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.messages = messages;
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
    List<Message> library = messages.all();
    CohortSettings cohort = KeptRun.cohort(order, thisMonday());
    long begun = System.nanoTime();
    RunMeasures measures = measure(kept, library, cohort);
    long millis = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
    NewDryRunRow row =
        new NewDryRunRow(
            summary(kept, cohort, measures, millis), content(kept, library, cohort, measures));
    mapper.insert(row);
    return view(Objects.requireNonNull(row.id));
  }

  /** A quick look at a journey as it is saved now; nothing is kept. */
  RunMeasures estimate(long journeyId) {
    return measure(
        journeys.find(journeyId), messages.all(), KeptRun.cohort(ESTIMATE, thisMonday()));
  }

  private RunMeasures measure(KeptJourney kept, List<Message> library, CohortSettings cohort) {
    return RunMeasures.of(
        KeptRun.prepare(kept.journey(), library, kept.behaviour(), cohort).run(partitions));
  }

  /** The newest runs in short, newest first. */
  List<DryRunSummary> newest() {
    return mapper.newest().stream().map(SummaryRow::summary).toList();
  }

  DryRunView view(long id) {
    KeptRun run = find(id);
    return new DryRunView(
        run.summary(),
        JourneyWriter.write(run.journey()),
        RunSheet.of(run.journey(), run.messages()),
        BehaviourFormat.write(run.behaviour()),
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
      KeptJourney kept, List<Message> library, CohortSettings cohort, RunMeasures measures) {
    return new DryRunRow(
        Json.write(JourneyWriter.write(kept.journey())),
        Json.write(BehaviourFormat.write(kept.behaviour())),
        Json.write(library),
        cohort.start().atOffset(ZoneOffset.UTC),
        Json.write(measures));
  }

  private static KeptRun kept(SummaryRow summary, DryRunRow content) {
    List<Message> library = List.of(Json.read(content.messages(), Message[].class));
    Set<MessageId> ids = library.stream().map(Message::id).collect(Collectors.toSet());
    CohortSettings cohort =
        new CohortSettings(
            summary.people(), summary.seed(), content.startAt().toInstant(), summary.horizonDays());
    return new KeptRun(
        summary.summary(),
        JourneyReader.read(Json.read(content.document(), JourneyDocument.class), ids),
        library,
        BehaviourFormat.read(Json.read(content.behaviour(), BehaviourDocument.class)),
        cohort,
        Json.read(content.results(), RunMeasures.class));
  }
}
