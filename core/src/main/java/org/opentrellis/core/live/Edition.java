package org.opentrellis.core.live;

import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Pressure;

/** A change of what is open. */
public sealed interface Edition
    permits Edition.Opened, Edition.Closed, Edition.Stopped, Edition.Pressed {

  /**
   * People enter a version of a journey from now on.
   *
   * @param plan the journey
   * @param version greater than those before it
   * @param catalogue the strands, segments and messages as they are in this version
   * @param takesAlong whether those inside go on with it, or finish on the plan that they began
   */
  record Opened(Journey plan, int version, Catalogue catalogue, boolean takesAlong)
      implements Edition {
    JourneyName journey() {
      return plan.journeyName();
    }
  }

  /** Nobody new enters; those inside go on to the end. */
  record Closed(JourneyName journey) implements Edition {}

  /** Nobody enters, and those inside leave. */
  record Stopped(JourneyName journey) implements Edition {}

  /**
   * The account finds other mail enough for one person.
   *
   * @param pressure empty if nothing is too much
   */
  record Pressed(Optional<Pressure> pressure) implements Edition {}
}
