package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.List;

/**
 * One choice of a level for each factor.
 *
 * @param levels by the factors' order
 */
record Variation(List<Integer> levels) {
  Variation {
    levels = List.copyOf(levels);
  }

  Variation with(int factor, int level) {
    List<Integer> other = new ArrayList<>(levels);
    other.set(factor, level);
    return new Variation(other);
  }
}
