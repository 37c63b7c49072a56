package org.opentrellis.core.dryrun;

/**
 * How much of the machine a computation may take, and who watches it.
 *
 * @param threads at least 1
 * @param control told how many people are done; may stop it
 */
public record Effort(int threads, RunControl control) {
  public Effort {
    if (threads < 1) {
      throw new IllegalArgumentException("threads must be at least 1, not " + threads);
    }
  }

  /** So many threads, and nobody watches. */
  public static Effort of(int threads) {
    return new Effort(threads, RunControl.NONE);
  }
}
