package org.opentrellis.core.dryrun;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;

/**
 * Goes through all counts of a tally in a fixed order: each tally names its own once, whatever is
 * to be done with them. What it gives for a count stands in its place afterwards.
 */
interface Counts {
  long of(long count);

  /** A table of a fixed size, in place. */
  default void of(long[] counts) {
    for (int i = 0; i < counts.length; i++) {
      counts[i] = of(counts[i]);
    }
  }

  /**
   * How long a table is that follows.
   *
   * @param most longer ones cannot be
   * @throws UncheckedIOException if it is
   */
  default int size(int size, int most) {
    long given = of(size);
    if (given < 0 || given > most) {
      throw new UncheckedIOException(
          new IOException("these counts are of another run, or damaged"));
    }
    return (int) given;
  }

  /**
   * A table that may have grown; zeros at its end say nothing.
   *
   * @throws UncheckedIOException if it is longer than it can be
   */
  default long[] grown(long[] counts, int most) {
    int size = counts.length;
    while (size > 0 && counts[size - 1] == 0) {
      size--;
    }
    long[] all = Arrays.copyOf(counts, size(size, most));
    of(all);
    return all;
  }
}
