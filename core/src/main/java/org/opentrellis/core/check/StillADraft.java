package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;

/** The plan that was never opened: all is set, and nobody gets anything. */
final class StillADraft implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    boolean ready = !journey.triggers().isEmpty() && !journey.sends().isEmpty();
    return ready && journey.state() == JourneyState.DRAFT
        ? List.of(
            Findings.warning(
                "still-a-draft",
                "The journey is still a draft. Open it when the plan is ready: drafts take nobody in."))
        : List.of();
  }
}
