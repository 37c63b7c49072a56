package org.opentrellis.app.dryruns;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.elsewhere.RunDocument;
import org.opentrellis.core.journey.Catalogue;

/**
 * A run, ready to be made.
 *
 * @param parts the journeys as they are saved; who their people are is the cohort's
 * @param cohortName what the cohort is called; null if it has no name
 */
record RunSetup(
    List<KeptRun.Part> parts,
    Catalogue catalogue,
    CohortPlan cohort,
    @Nullable String cohortName,
    CohortSettings settings) {

  RunSetup {
    parts =
        parts.stream()
            .map(part -> part.with(part.behaviour().edit().groups(cohort.groups()).done()))
            .toList();
  }

  DryRun dryRun() {
    return new DryRun(
        parts.stream().map(KeptRun.Part::journey).toList(),
        catalogue,
        parts.stream().map(KeptRun.Part::behaviour).toList(),
        settings);
  }

  /** The same as documents. */
  RunDocument document() {
    return RunDocument.of(
        parts.stream().map(KeptRun.Part::journey).toList(),
        catalogue,
        parts.stream().map(KeptRun.Part::behaviour).toList(),
        settings);
  }

  /** The first so many people of it. */
  RunSetup of(int people) {
    CohortPlan some = new CohortPlan(people, cohort.groups(), cohort.arrivals(), cohort.holdOut());
    return new RunSetup(parts, catalogue, some, null, settings.withPeople(people));
  }

  /** The same people through other journeys. */
  RunSetup with(List<KeptRun.Part> others) {
    return new RunSetup(others, catalogue, cohort, cohortName, settings);
  }

  /** The same for a journey that has been saved since. */
  RunSetup of(KeptRun.Part saved) {
    return new RunSetup(List.of(saved), catalogue, cohort, cohortName, settings);
  }
}
