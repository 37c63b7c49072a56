package org.opentrellis.core.check;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;

/** Who is being welcomed is not welcomed twice at once; to come back after having left is meant. */
final class WelcomeRepeats implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.journey();
    boolean repeats =
        journey.purpose() == Purpose.WELCOME && journey.reEntry() instanceof ReEntry.EveryTime;
    return repeats
        ? List.of(
            Findings.fixedBy(
                Findings.warning(
                    "welcome-repeats",
                    "Whoever comes again while they are inside gets the same emails twice at once."),
                "Again only after having left",
                journey.edit().reEntry(new ReEntry.AfterHavingLeft()).done()))
        : List.of();
  }
}
