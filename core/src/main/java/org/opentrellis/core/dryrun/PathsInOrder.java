package org.opentrellis.core.dryrun;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Joins the paths of chunks in order of people, whichever is done first. Safe for many threads. */
final class PathsInOrder {
  private final Paths[] joined;
  private final Map<Integer, Paths[]> early = new HashMap<>();
  private int next;

  /**
   * @param ways of each journey, to join them in
   */
  PathsInOrder(int journeys, Supplier<Paths> ways) {
    joined = Stream.generate(ways).limit(journeys).toArray(Paths[]::new);
  }

  synchronized void add(int chunk, Paths[] paths) {
    early.put(chunk, paths);
    for (Paths[] ready = early.remove(next); ready != null; ready = early.remove(next)) {
      for (int i = 0; i < joined.length; i++) {
        joined[i].combine(ready[i]);
      }
      next++;
    }
  }

  /** Once all chunks are in. */
  synchronized Paths[] all() {
    return joined;
  }
}
