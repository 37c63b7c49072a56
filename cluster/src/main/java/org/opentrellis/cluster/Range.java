package org.opentrellis.cluster;

import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;

/**
 * Some people of a run, one after another.
 *
 * @param first the first of them
 * @param end the first behind them
 */
record Range(int first, int end) implements Serializable {
  /** So many go through at once; a part takes some tenths of a second. */
  private static final int USUAL = 1 << 18;

  /** More parts than this are not kept track of well. */
  private static final int MOST_PARTS = 4_096;

  /** All people from one to another, in parts. */
  static List<Range> parts(int first, int end) {
    int size = Math.max(USUAL, (int) Math.ceilDiv((long) end - first, MOST_PARTS));
    List<Range> parts = new ArrayList<>();
    for (long from = first; from < end; from += size) {
      parts.add(new Range((int) from, (int) Math.min(end, from + size)));
    }
    return parts;
  }
}
