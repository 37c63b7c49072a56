package org.opentrellis.bench;

import java.util.Arrays;
import java.util.Map;

/**
 * What a simulation of the reference journey counted.
 *
 * @param all arrays of counts by what they count, the same of every simulation; a person counts at
 *     most once in each
 * @param sums by what they sum up
 */
record Counts(Map<String, long[]> all, Map<String, Sums> sums) {
  /** Where fewer are counted, chance is not normal enough for standard errors. */
  private static final int FEWEST = 50;

  /** Where two simulations are furthest apart in what they count. */
  record Apart(String what, double standardErrors) {
    /** A sound pair is further apart in one of a thousand counts once in 100,000 times. */
    private static final double BOUND = 6;

    boolean isByChance() {
      return standardErrors < BOUND;
    }
  }

  /** The largest difference to another; both must be of as many people. */
  Apart distance(Counts other, long people) {
    Apart most = new Apart("nothing", 0);
    for (Map.Entry<String, long[]> counted : all.entrySet()) {
      long[] ours = counted.getValue();
      long[] theirs = other.all.get(counted.getKey());
      for (int i = 0; i < Math.max(ours.length, theirs.length); i++) {
        double z = z(at(ours, i), at(theirs, i), people);
        if (Math.abs(z) > most.standardErrors()) {
          most = new Apart(counted.getKey() + " (" + i + ")", Math.abs(z));
        }
      }
    }
    for (Map.Entry<String, Sums> sum : sums.entrySet()) {
      double z = sum.getValue().distance(other.sums.get(sum.getKey()), people);
      if (z > most.standardErrors()) {
        most = new Apart(sum.getKey(), z);
      }
    }
    return most;
  }

  /** Arrays may differ in length where nothing is counted at the end. */
  private static long at(long[] counts, int i) {
    return i < counts.length ? counts[i] : 0;
  }

  private static double z(long one, long two, long people) {
    double p = (one + two) / (2.0 * people);
    double error = Math.sqrt(2 * p * (1 - p) / people);
    return one == two || one + two < 2 * FEWEST ? 0 : (one - two) / (people * error);
  }

  /** How many of its counts are large enough to be compared. */
  long compared() {
    return all.values().stream()
        .flatMapToLong(Arrays::stream)
        .filter(count -> count >= FEWEST)
        .count();
  }
}
