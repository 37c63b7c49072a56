package org.opentrellis.app.names;

import org.jspecify.annotations.Nullable;

/**
 * What uses a name.
 *
 * @param journey its number, if it is a journey
 */
public record NameUse(What what, String name, @Nullable Long journey) {
  /** What can use a name. */
  public enum What {
    JOURNEY,
    STRAND,
    SEGMENT,
    MESSAGE,
    ENTRANCE
  }
}
