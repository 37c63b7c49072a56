package org.opentrellis.app.tryouts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Trigger;

/** What has to happen so that somebody comes to a journey. */
final class Entering {
  private static final int IN_CART = 2;
  private static final long MINUTE = 60;

  private Entering() {}

  /**
   * @param trigger empty if they are put in by hand
   */
  static Happening by(
      Optional<Trigger> trigger, long now, JourneyName journey, List<ProductCard> shop) {
    return switch (trigger.orElseGet(Trigger.PutIn::new)) {
      case Trigger.PutIn in -> new Happening.PutIn(now, journey);
      case Trigger.JoinsList joins -> new Happening.Joined(now, joins.list());
      case Trigger.GetsTag gets -> new Happening.Tagged(now, gets.tag());
      case Trigger.SubmitsForm form when form.form().isPresent() ->
          new Happening.FormSubmitted(now, form.form().get(), Map.of());
      // The cart was left so long ago that they come just now.
      case Trigger.LeavesCart cart ->
          new Happening.CartChanged(now - cart.minutes() * MINUTE, cart(shop));
      case Trigger other -> new Happening.Came(now, journey, other);
    };
  }

  private static List<Line> cart(List<ProductCard> shop) {
    return shop.stream()
        .limit(IN_CART)
        .map(card -> new Line(new ProductName(card.name()), 1, new Money(card.cents())))
        .toList();
  }
}
