package org.opentrellis.core.compare;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.DropOff;
import org.opentrellis.core.measure.RunCurves;
import org.opentrellis.core.measure.RunMeasures;

/** Runs to be compared. */
final class Sides {
  static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  private Sides() {}

  static ComparedJourney of(
      String name, Journey journey, Catalogue catalogue, Behaviour people, CohortSettings cohort) {
    DryRun run = new DryRun(journey, catalogue, people, cohort);
    Tallies tallies = run.run(1);
    return new ComparedJourney(
        name,
        journey,
        Map.of(),
        RunMeasures.of(tallies),
        DropOff.of(tallies.journey()),
        RunCurves.of(tallies.journey()),
        run,
        0,
        List.of(cohort.people(), cohort.seed()));
  }
}
