package org.opentrellis.core.forecast;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.stats.Proportion;

/**
 * Where a figure ends up in dry runs of the same people: of {@value #RUNS} runs the ten lowest lie
 * below it and the ten highest above it. What really happens is one run more, so if the assumptions
 * hold it lies below in at most 10 of 401 cases, and above it in as many: inside in at least 95% of
 * them, whatever the figure's distribution (order statistics of exchangeable draws).
 *
 * @param low in [0, 1]
 * @param middle the mean of the runs
 * @param high in [0, 1]
 */
public record Band(double low, double middle, double high) {
  /** So many runs make a band. */
  public static final int RUNS = 400;

  private static final int OUTSIDE = 10;

  /**
   * @param runs what each of the {@value #RUNS} runs came to
   * @param of how many it really is a share of; where these are fewer than in the runs, the band is
   *     as much wider as the share of fewer varies more
   * @return empty if the runs do not tell: in some nobody came so far
   */
  static Optional<Band> of(List<Proportion> runs, long of) {
    double[] shares = runs.stream().flatMapToDouble(one -> one.value().stream()).sorted().toArray();
    if (shares.length < runs.size() || of == 0) {
      return Optional.empty();
    }
    double middle = Arrays.stream(shares).average().orElseThrow();
    double mean = runs.stream().mapToLong(Proportion::of).average().orElseThrow();
    double wider = Math.sqrt(Math.max(1, mean / of));
    double low = Math.min(middle, shares[OUTSIDE - 1]);
    double high = Math.max(middle, shares[shares.length - OUTSIDE]);
    return Optional.of(
        new Band(
            Math.max(0, middle - (middle - low) * wider),
            middle,
            Math.min(1, middle + (high - middle) * wider)));
  }

  boolean contains(double share) {
    return low <= share && share <= high;
  }

  /** Half of how far apart its ends are. */
  double reach() {
    return (high - low) / 2;
  }
}
