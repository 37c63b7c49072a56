package org.opentrellis.core.search;

import java.util.List;

/**
 * Something that varies, with all that is tried of it.
 *
 * @param id names it, the same as long as the leeway is
 * @param subject what varies, in words: "Wait 2 days, before Frames"
 * @param levels at least one
 * @param today the place of what the journey says now
 */
record Factor(String id, String subject, List<Level> levels, int today) {
  Factor {
    levels = List.copyOf(levels);
  }

  /** Whether there is anything to try. */
  boolean varies() {
    return levels.size() > 1;
  }
}
