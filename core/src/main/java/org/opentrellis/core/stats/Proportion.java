package org.opentrellis.core.stats;

import java.util.Locale;
import java.util.OptionalDouble;

/**
 * A count out of a total.
 *
 * @param count 0 to {@code of}
 * @param of the total; 0 means that there is none yet
 */
public record Proportion(long count, long of) {
  public Proportion {
    if (count < 0 || count > of) {
      throw new IllegalArgumentException("a share of " + count + " out of " + of);
    }
  }

  /** The share in [0, 1]; empty when the total is 0. */
  public OptionalDouble value() {
    return of == 0 ? OptionalDouble.empty() : OptionalDouble.of((double) count / of);
  }

  /** In percent with one decimal, such as "12.3%"; "none yet" when the total is 0. */
  public String inWords() {
    return of == 0 ? "none yet" : String.format(Locale.ROOT, "%.1f%%", 100.0 * count / of);
  }
}
