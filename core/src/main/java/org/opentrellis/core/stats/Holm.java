package org.opentrellis.core.stats;

import java.util.stream.IntStream;

/** Several tests at once, so that hardly any of them calls a difference by chance (Holm 1979). */
public final class Holm {
  private Holm() {}

  /**
   * Adjusted p-values, in the order given: the smallest is multiplied by how many there are, the
   * next by one less, and none falls below the one before.
   *
   * @param pValues each in [0, 1]; may be empty
   */
  public static double[] adjust(double... pValues) {
    int count = pValues.length;
    int[] order =
        IntStream.range(0, count)
            .boxed()
            .sorted((a, b) -> Double.compare(pValues[a], pValues[b]))
            .mapToInt(Integer::intValue)
            .toArray();
    double[] adjusted = new double[count];
    double least = 0;
    for (int rank = 0; rank < count; rank++) {
      least = Math.max(least, Math.min(1, (count - rank) * pValues[order[rank]]));
      adjusted[order[rank]] = least;
    }
    return adjusted;
  }
}
