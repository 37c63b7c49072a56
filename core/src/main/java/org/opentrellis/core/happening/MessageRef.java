package org.opentrellis.core.happening;

import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Refused;

/**
 * One message that went out to a person.
 *
 * @param visit how many times the person had entered the journey before, from 0
 * @param step the step that sent it
 */
public record MessageRef(JourneyName journey, int visit, StepId step) {
  public MessageRef {
    if (visit < 0) {
      throw new Refused("visits are counted from 0, not from " + visit);
    }
  }
}
