package org.opentrellis.app.people;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Everything that is known of a person; moments are epoch seconds, money is in cents. */
record PersonFile(
    PersonView person, List<KnownOrder> purchases, List<KnownCart> carts, List<KnownEvent> events) {

  /** A line of an order. */
  record KnownOrder(long at, @Nullable String product, long cents) {}

  /** A line of a cart as it was from then on. */
  record KnownCart(long at, boolean emptied, @Nullable String product, long cents) {}

  record KnownEvent(long at, String event, @Nullable String attribute, @Nullable String value) {}
}
