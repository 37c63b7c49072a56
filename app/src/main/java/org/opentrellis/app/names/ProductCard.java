package org.opentrellis.app.names;

import org.jspecify.annotations.Nullable;

/**
 * What is known of something that the shop sells.
 *
 * @param about what it is, in a sentence
 */
public record ProductCard(String name, @Nullable String about, @Nullable Long priceCents) {

  /** What it costs; nothing if that is not known. */
  public long cents() {
    return priceCents == null ? 0 : priceCents;
  }
}
