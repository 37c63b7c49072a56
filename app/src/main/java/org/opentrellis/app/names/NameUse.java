package org.opentrellis.app.names;

import org.jspecify.annotations.Nullable;

/**
 * What uses a name.
 *
 * @param id by which it is found among others of its kind; null for a segment, and for the page of
 *     one's choices, of which there is one
 */
public record NameUse(What what, String name, @Nullable String id) {
  /** What can use a name. */
  public enum What {
    JOURNEY,
    STRAND,
    SEGMENT,
    MESSAGE,
    ENTRANCE,
    NEWSLETTER,
    RULE,
    NEWS
  }
}
