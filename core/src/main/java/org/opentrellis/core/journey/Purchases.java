package org.opentrellis.core.journey;

import java.util.Optional;

/**
 * Which purchases count; those that fit everything said.
 *
 * @param product of one product
 * @param category of one category
 * @param atLeast of at least this value
 */
public record Purchases(
    Optional<ProductName> product, Optional<CategoryName> category, Optional<Money> atLeast) {
  public static final Purchases ANY =
      new Purchases(Optional.empty(), Optional.empty(), Optional.empty());
}
