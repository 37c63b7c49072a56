package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;

/** Nobody wants to be welcomed twice. */
final class WelcomeRepeats implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    boolean repeats =
        journey.purpose() == Purpose.WELCOME && !(journey.reEntry() instanceof ReEntry.Never);
    return repeats
        ? List.of(
            Findings.fixedBy(
                Findings.warning(
                    "welcome-repeats",
                    "Whoever comes again is welcomed again, with the same emails."),
                "Once per person",
                journey.edit().reEntry(new ReEntry.Never()).done()))
        : List.of();
  }
}
