package org.opentrellis.app.dryruns;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;

/**
 * A run, ready to be made.
 *
 * @param journeys as they are saved
 * @param cohortName what the cohort is called; null if it has no name
 */
record RunSetup(
    List<KeptJourney> journeys,
    Catalogue catalogue,
    CohortPlan cohort,
    @Nullable String cohortName,
    CohortSettings settings) {

  /** How people react, by journey; who they are is the cohort's. */
  List<Behaviour> behaviours() {
    return journeys.stream()
        .map(kept -> kept.behaviour().edit().groups(cohort.groups()).done())
        .toList();
  }

  DryRun dryRun() {
    return new DryRun(
        journeys.stream().map(KeptJourney::journey).toList(), catalogue, behaviours(), settings);
  }
}
