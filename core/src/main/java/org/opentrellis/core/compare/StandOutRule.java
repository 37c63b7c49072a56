package org.opentrellis.core.compare;

import java.util.List;

/** One thing to look for in a run's figures. */
@FunctionalInterface
interface StandOutRule {
  /**
   * @param place of the run among the others
   */
  List<StandOut> find(ComparedJourney side, int place);
}
