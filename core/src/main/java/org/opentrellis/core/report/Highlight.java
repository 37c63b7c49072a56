package org.opentrellis.core.report;

import org.jspecify.annotations.Nullable;

/**
 * What of a run answers the first question: where it is weak, and what usually helps.
 *
 * @param kind what the sentence is about
 * @param sentence with the figure that backs it
 * @param step the row that it is about; null for the whole journey
 */
public record Highlight(Kind kind, String sentence, @Nullable String step) {
  /** What is looked for. */
  public enum Kind {
    NO_GOAL,
    /** What the journey added over those who were kept out. */
    ADDED,
    WEAKEST_EMAIL,
    BIGGEST_LOSS
  }
}
