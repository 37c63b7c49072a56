package org.opentrellis.cli;

import java.io.Serializable;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Journey;

/**
 * A dry run as documents and numbers, so that it can be made anywhere: whoever has it compiles the
 * journeys for themselves, and gets the same people.
 *
 * @param files journey files, as they are written; the first says who the people are
 * @param cohort how many people, when they come and how many are held out, as a cohort file
 * @param groups whether the cohort says who they are, too, instead of the journey files
 * @param start when it begins, in epoch seconds
 */
public record RunDocument(
    List<String> files, String cohort, boolean groups, long seed, long start, int horizonDays)
    implements Serializable {

  /**
   * @param plan who enters, if that is said
   */
  static RunDocument of(List<String> files, CohortSettings settings, Optional<CohortPlan> plan) {
    CohortPlan cohort =
        plan.orElseGet(
            () ->
                new CohortPlan(
                    settings.people(),
                    behaviours(read(files), Optional.empty()).get(0).groups(),
                    settings.arrivals(),
                    settings.holdOut()));
    return new RunDocument(
        List.copyOf(files),
        Json.write(Documents.write(cohort)),
        plan.isPresent(),
        settings.seed(),
        settings.start().getEpochSecond(),
        settings.horizonDays());
  }

  private static List<JourneyFile> read(List<String> files) {
    return files.stream().map(Documents::readFile).toList();
  }

  private static List<Behaviour> behaviours(List<JourneyFile> files, Optional<CohortPlan> plan) {
    return CohortOptions.behaviours(files, plan);
  }

  /** The run, ready to be made. */
  public DryRun dryRun() {
    List<JourneyFile> read = read(files);
    List<Journey> journeys = read.stream().map(JourneyFile::journey).toList();
    CohortPlan plan = Documents.readCohort(Json.tree(cohort));
    return new DryRun(
        journeys,
        JourneyFiles.catalogue(read),
        behaviours(read, groups ? Optional.of(plan) : Optional.empty()),
        CohortSettings.of(plan, seed, Instant.ofEpochSecond(start), horizonDays));
  }
}
