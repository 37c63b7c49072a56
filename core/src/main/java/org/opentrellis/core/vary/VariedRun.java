package org.opentrellis.core.vary;

import java.util.List;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;

/**
 * A journey with the people who go through it: what is varied.
 *
 * @param journey as it is saved, its strands not put in place
 * @param settings how many, from when, with which seed
 */
public record VariedRun(
    Journey journey,
    Catalogue catalogue,
    Behaviour behaviour,
    CohortPlan cohort,
    CohortSettings settings) {

  /** The same people through another journey. */
  public VariedRun with(Journey other) {
    return new VariedRun(other, catalogue, behaviour, cohort, settings);
  }

  /** The same with people who react otherwise. */
  public VariedRun with(Behaviour other) {
    return new VariedRun(journey, catalogue, other, cohort, settings);
  }

  /** The same with others who enter. */
  public VariedRun with(CohortPlan other) {
    return new VariedRun(journey, catalogue, behaviour, other, settings);
  }

  /** The same with as many other people, or others in their place. */
  public VariedRun with(CohortSettings other) {
    return new VariedRun(journey, catalogue, behaviour, cohort, other);
  }

  /** The run, ready to be made. */
  public DryRun dryRun() {
    return new DryRun(List.of(journey), catalogue, List.of(whole()), settings);
  }

  /** How the people react, with who they are. */
  public Behaviour whole() {
    return behaviour.edit().groups(cohort.groups()).done();
  }
}
