package org.opentrellis.core.stats;

import java.util.Arrays;

/**
 * Counts times in log-spaced buckets, so that medians and quartiles of any number of people fit in
 * a few kilobytes. Exact below 128 seconds; above, a quantile is off by at most 1/128 of itself.
 * Integers only, so merging in any order gives the same.
 */
public final class TimeBuckets {
  private static final int SUB_BUCKETS = 64;
  private static final int SUB_BITS = 6;
  private static final int OCTAVES = 26;

  /** How many buckets there are. */
  public static final int BUCKETS = 2 * SUB_BUCKETS + OCTAVES * SUB_BUCKETS;

  private final long[] counts;

  public TimeBuckets() {
    this(new long[BUCKETS]);
  }

  private TimeBuckets(long[] counts) {
    this.counts = counts;
  }

  /**
   * What was counted elsewhere.
   *
   * @param counts by bucket, {@value #BUCKETS} of them
   */
  public static TimeBuckets of(long[] counts) {
    return new TimeBuckets(Arrays.copyOf(counts, BUCKETS));
  }

  /** Counts a time in seconds; negative counts as 0. */
  public void accept(long seconds) {
    counts[index(seconds)]++;
  }

  public void combine(TimeBuckets other) {
    for (int i = 0; i < counts.length; i++) {
      counts[i] += other.counts[i];
    }
  }

  /** Other counts by bucket, {@value #BUCKETS} of them. */
  public void become(long[] other) {
    System.arraycopy(other, 0, counts, 0, BUCKETS);
  }

  /** By bucket. */
  public long[] counts() {
    return counts.clone();
  }

  public long total() {
    return Arrays.stream(counts).sum();
  }

  /**
   * The time in seconds that this share does not exceed (Hyndman and Fan 1996, type 1, to the
   * bucket's middle).
   *
   * @param share in (0, 1]
   * @throws IllegalStateException if nothing was counted
   */
  public long quantile(double share) {
    long total = total();
    if (total == 0) {
      throw new IllegalStateException("no times counted yet");
    }
    return middle(bucketOf(share, total));
  }

  /**
   * By how many seconds {@link #quantile} may be off: half of its bucket's width.
   *
   * @param share in (0, 1]
   * @throws IllegalStateException if nothing was counted
   */
  public double quantileError(double share) {
    long total = total();
    if (total == 0) {
      throw new IllegalStateException("no times counted yet");
    }
    int bucket = bucketOf(share, total);
    return bucket < 2 * SUB_BUCKETS ? 0 : (1L << (bucket / SUB_BUCKETS - 1)) / 2.0;
  }

  private int bucketOf(double share, long total) {
    long rank = Math.max(1, (long) Math.ceil(share * total));
    long seen = 0;
    for (int i = 0; i < counts.length; i++) {
      seen += counts[i];
      if (seen >= rank) {
        return i;
      }
    }
    throw new IllegalStateException("counts do not add up to their total");
  }

  /** The bucket of a time in seconds; negative counts as 0. */
  public static int index(long time) {
    long seconds = Math.max(0, time);
    if (seconds < 2 * SUB_BUCKETS) {
      return (int) seconds;
    }
    int shift = 63 - Long.numberOfLeadingZeros(seconds) - SUB_BITS;
    int index = shift * SUB_BUCKETS + (int) (seconds >>> shift);
    return Math.min(index, BUCKETS - 1);
  }

  private static long middle(int index) {
    if (index < 2 * SUB_BUCKETS) {
      return index;
    }
    int shift = index / SUB_BUCKETS - 1;
    long lower = (long) (index - shift * SUB_BUCKETS) << shift;
    return lower + (1L << shift) / 2;
  }
}
