package org.opentrellis.app.dryruns;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.report.CohortWords;
import org.opentrellis.core.report.RunReport;

/**
 * Everything that is needed to make a run again to the same figures, and what it showed.
 *
 * @param name given by hand, or null
 * @param engine the version of the engine that drew the people
 * @param cohortName what the cohort is called, or null
 * @param results what it showed; null while that has to be worked out anew
 * @param resultsAt when the results were worked out anew; null if they are those of its day
 * @param lived who the people are, if it tells what they really went through; null if they were
 *     simulated
 * @param aside whether one of its journeys is a variation that was kept aside
 */
public record KeptRun(
    long id,
    @Nullable String name,
    boolean pinned,
    OffsetDateTime madeAt,
    long millis,
    int engine,
    CohortPlan cohort,
    @Nullable String cohortName,
    long seed,
    Instant start,
    int horizonDays,
    Catalogue catalogue,
    List<Part> parts,
    @Nullable RunReport results,
    @Nullable OffsetDateTime resultsAt,
    @Nullable String lived,
    boolean aside) {

  /** More people are compared by their totals. */
  public static final int MOST_PAIRED = 1_000_000;

  /** What it showed. Whoever reads a run through {@link DryRuns} can rely on it. */
  public RunReport report() {
    return Objects.requireNonNull(results, "the results have not been worked out yet");
  }

  /** One of the run's journeys, as it was. */
  public record Part(long journeyId, int version, Journey journey, Behaviour behaviour) {
    static Part of(KeptJourney kept) {
      return new Part(kept.id(), kept.version(), kept.journey(), kept.behaviour());
    }

    Part with(Behaviour other) {
      return new Part(journeyId, version, journey, other);
    }
  }

  /**
   * One of its journeys.
   *
   * @throws NotFound if it took fewer
   */
  public Part part(int number) {
    if (number < 0 || number >= parts.size()) {
      throw NotFound.of("journey %d of dry run".formatted(number), id);
    }
    return parts.get(number);
  }

  /** Who its people are, in a sentence. */
  public String who() {
    return lived == null ? CohortWords.of(cohort) : lived;
  }

  /** The run, ready to be made again. */
  public DryRun again() {
    return setup().dryRun();
  }

  /** The same, to be made anew. */
  RunSetup setup() {
    return new RunSetup(
        parts, catalogue, cohort, cohortName, CohortSettings.of(cohort, seed, start, horizonDays));
  }

  /**
   * What tells the people apart: in runs with the same, person n of one is person n of the other.
   */
  public Object people() {
    if (lived != null) {
      return List.of("lived", id);
    }
    return isTooLargeToPair() ? List.of("many", id) : List.of(seed, cohort, engine);
  }

  /** So many people are not sent through again one by one: their totals say as much. */
  public boolean isTooLargeToPair() {
    return lived == null && cohort.people() > MOST_PAIRED;
  }

  public boolean samePeopleAs(KeptRun other) {
    return people().equals(other.people());
  }

  /** A journey of the run in short. */
  public DryRunSummary summary(int number) {
    Part part = parts.get(number);
    RunMeasures measures = report().journeys().get(number).measures();
    List<StepMeasures> messages = EmailOrder.of(measures);
    Share last = messages.isEmpty() ? null : messages.get(messages.size() - 1).reach();
    return new DryRunSummary(
        id,
        number,
        name,
        pinned,
        part.journeyId(),
        part.journey().name(),
        part.journey().purpose(),
        part.version(),
        parts.size(),
        cohort.people(),
        cohortName,
        seed,
        horizonDays,
        madeAt,
        millis,
        measures.entered(),
        measures.goal(),
        last,
        lived,
        aside);
  }
}
