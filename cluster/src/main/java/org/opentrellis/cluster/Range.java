package org.opentrellis.cluster;

import java.io.Serializable;
import java.util.ArrayList;
import java.util.List;
import org.apache.spark.util.LongAccumulator;

/**
 * Some people of a run, one after another.
 *
 * @param first the first of them
 * @param end the first behind them
 */
record Range(int first, int end) implements Serializable {
  /** So many go through at once where counts come back; it takes some tenths of a second. */
  static final int USUAL = 1 << 18;

  /** So many where something comes back of each person. */
  static final int SMALL = 1 << 15;

  /** More parts than this are not kept track of well. */
  private static final int MOST_PARTS = 4_096;

  /** All people from one to another, in parts of so many unless these were too many. */
  static List<Range> parts(int first, int end, int usual) {
    int size = Math.max(usual, (int) Math.ceilDiv((long) end - first, MOST_PARTS));
    List<Range> parts = new ArrayList<>();
    for (long from = first; from < end; from += size) {
      parts.add(new Range((int) from, (int) Math.min(end, from + size)));
    }
    return parts;
  }

  /** Notes that these are through. */
  byte[] through(LongAccumulator through, byte[] result) {
    through.add((long) end - first);
    return result;
  }
}
