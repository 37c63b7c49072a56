package org.opentrellis.app.dryruns;

import java.time.Instant;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.RunMeasures;

/** Everything that is needed to do a run again to the same figures, and what it showed. */
public record KeptRun(
    DryRunSummary summary,
    Journey journey,
    Catalogue catalogue,
    Behaviour behaviour,
    CohortSettings cohort,
    RunMeasures measures) {

  /** The run, ready to be done again. */
  public DryRun again() {
    return new DryRun(journey, catalogue, behaviour, cohort);
  }

  /** Whether both runs had the same people: person n of one is person n of the other. */
  public boolean samePeopleAs(KeptRun other) {
    return cohort.people() == other.cohort.people()
        && cohort.seed() == other.cohort.seed()
        && behaviour.groups().equals(other.behaviour.groups());
  }

  static CohortSettings cohort(DryRunOrder order, Instant start) {
    return CohortSettings.of(order.people(), order.seed(), start, order.horizonDays());
  }
}
