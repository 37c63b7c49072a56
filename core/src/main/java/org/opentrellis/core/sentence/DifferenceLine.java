package org.opentrellis.core.sentence;

import org.jspecify.annotations.Nullable;

/**
 * A line of the run sheet in two versions of a journey.
 *
 * @param row the step, arm or line about the journey
 * @param depth how far it is indented
 * @param before what it said; null if it is new
 * @param after what it says; null if it is gone
 */
public record DifferenceLine(
    Kind kind, String row, int depth, @Nullable String before, @Nullable String after) {

  /** What became of it. */
  public enum Kind {
    SAME,
    ADDED,
    REMOVED,
    CHANGED,
    /** It says the same, at another place. */
    MOVED
  }
}
