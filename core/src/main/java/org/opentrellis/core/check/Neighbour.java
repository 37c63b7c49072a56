package org.opentrellis.core.check;

import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LabelSet;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Trigger;

/**
 * What the checks of one journey need to know of another, so that nobody has to read the others
 * whole.
 *
 * @param leads how it brings people into others at once
 * @param takesHandOvers whether it says that people are handed over to it
 * @param sets the tags and lists that it sets, or that people get to come into it
 * @param asks the tags and lists that it goes by
 */
public record Neighbour(Leads leads, boolean takesHandOvers, LabelSet sets, LabelSet asks) {

  /**
   * @param catalogue with the strands that it includes
   */
  public static Neighbour of(Journey journey, Catalogue catalogue) {
    Journey expanded = Strands.expand(journey, catalogue);
    return new Neighbour(
        Leads.of(expanded),
        journey.triggers().stream().anyMatch(Trigger.HandedOver.class::isInstance),
        LabelSet.of(LabelUse.setBy(expanded)),
        LabelSet.of(LabelUse.askedBy(expanded)));
  }

  /** What it is called. */
  public JourneyName name() {
    return leads.journey();
  }
}
