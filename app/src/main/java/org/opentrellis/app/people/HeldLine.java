package org.opentrellis.app.people;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.ProductName;

/**
 * A line of somebody's cart or order.
 *
 * @param at in epoch seconds
 */
record HeldLine(long personId, long at, @Nullable String product, long cents) {
  KnownPerson.KnownLine known() {
    return new KnownPerson.KnownLine(Optional.ofNullable(product).map(ProductName::new), cents);
  }
}
