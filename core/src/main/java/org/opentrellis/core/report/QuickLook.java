package org.opentrellis.core.report;

import java.util.List;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.Sentences;

/**
 * A quick look at a journey: what a few people would do in it.
 *
 * @param nobody where nobody gets to
 */
public record QuickLook(RunMeasures measures, List<NobodyThere.Place> nobody) {
  /**
   * @param journey as it is saved, its strands not put in place
   */
  public static QuickLook of(RunMeasures measures, Journey journey, Catalogue catalogue) {
    Journey whole = Strands.expand(journey, catalogue);
    return new QuickLook(
        measures, NobodyThere.of(measures, whole, new Sentences(journey, catalogue)));
  }
}
