package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;

/**
 * A comparison kept under a name: what it shows, not its figures, which are read anew each time.
 */
record KeptComparison(
    long id, String name, List<String> runs, int baseline, LineUp lineUp, Compared compared) {

  /** One to be kept, over the one of its name if there is one. */
  record KeepOrder(
      String name, List<String> runs, int baseline, LineUp lineUp, Compared compared) {}
}
