package org.opentrellis.core.compare;

import org.jspecify.annotations.Nullable;

/**
 * A difference to the run that others are compared with, and what may be said of it.
 *
 * @param points this less that; for shares in [-1, 1], else in the figure's unit
 * @param low the 95% interval's lower end
 * @param high its upper end
 * @param paired whether the same people were compared one by one
 * @param pValue how often chance alone would bring about as much, by itself
 * @param adjusted the same among all that are compared in the table (Holm)
 * @param morePeople how many more people would settle it, if the difference is as it looks; null
 *     where it is settled or could not be
 * @param sentence the figures and the verdict in words
 */
public record Judged(
    double points,
    double low,
    double high,
    boolean paired,
    double pValue,
    double adjusted,
    Kind kind,
    @Nullable Long morePeople,
    String sentence) {

  /** What may be said. */
  public enum Kind {
    DIFFERENCE,
    COULD_BE_CHANCE,
    TOO_FEW
  }
}
