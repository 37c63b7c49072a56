package org.opentrellis.core.compare;

import java.util.List;
import java.util.Map;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.DropOff;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunCurves;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.StepMeasures;

/**
 * One journey of one run, as it stands beside others.
 *
 * @param name what tells it from the others
 * @param journey with the steps of its strands in place
 * @param names what its steps are called, by id
 * @param run to follow its people again
 * @param number of the journey in the run
 * @param people what tells its people; sides with the same are compared person by person
 */
public record ComparedJourney(
    String name,
    Journey journey,
    Map<String, String> names,
    RunMeasures measures,
    DropOff dropOff,
    RunCurves curves,
    DryRun run,
    int number,
    Object people) {

  boolean samePeopleAs(ComparedJourney other) {
    return people.equals(other.people);
  }

  /** Its emails and texts in the order in which people get them. */
  List<StepMeasures> messages() {
    return EmailOrder.of(measures);
  }

  String nameOf(String step) {
    return names.getOrDefault(step, step);
  }

  String quoted() {
    return "\u201c" + name + "\u201d";
  }
}
