package org.opentrellis.app.journeys;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.core.check.CheckContext;
import org.opentrellis.core.check.Checks;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.sentence.RunSheet;

/** A journey as it is kept, with its sentences and what the checks find. */
record Look(KeptJourney kept, Catalogue catalogue, RunSheet sheet, List<Finding> findings) {

  static Look at(KeptJourney kept, Catalogue catalogue, Around around) {
    CheckContext context =
        new CheckContext(
            kept.journey(),
            catalogue,
            kept.behaviour(),
            around.others(),
            around.carried(),
            around.today());
    List<Finding> findings =
        Stream.concat(
                Checks.run(context).stream(),
                around.messages().of(Strands.expand(kept.journey(), catalogue)).stream())
            .sorted(Comparator.comparing(Finding::severity))
            .toList();
    return new Look(kept, catalogue, RunSheet.of(kept.journey(), catalogue), findings);
  }
}
