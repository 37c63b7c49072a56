package org.opentrellis.core.story;

import org.jspecify.annotations.Nullable;

/**
 * One thing that happened to a person.
 *
 * @param at epoch seconds
 * @param when the same in the person's own time, such as "Tue 3 Mar 07:41"
 * @param row the step it happened at; null for none
 * @param sentence what happened, and why
 */
public record StoryLine(long at, String when, @Nullable String row, Kind kind, String sentence) {

  /** What a line is about. */
  public enum Kind {
    /** Coming in. */
    ENTRY,
    /** What the journey does. */
    STEP,
    /** What the person does. */
    PERSON,
    /** Which way they go, and why. */
    TURN,
    /** The end. */
    END
  }
}
