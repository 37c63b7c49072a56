package org.opentrellis.core.dryrun;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.random.Draws;

/**
 * What people buy whatever is sent: from time to time, or what lay in the cart that they left.
 * Immutable.
 */
final class Background {
  private final Shop shop;

  Background(Shop shop) {
    this.shop = shop;
  }

  /**
   * What a person does in the time that is looked at.
   *
   * @param cartLeftAt when they left a cart, if they did
   */
  void happensTo(Person person, @Nullable Long cartLeftAt, long from, long to) {
    Traits who = Traits.of(person);
    GroupDraws group = who.group;
    long key = who.key;
    if (cartLeftAt != null) {
      if (Traits.happens(key, Purposes.RETURNS_TO_CART, group.group.returnsToCart().value())) {
        double mean = group.group.returnMeanHours().value() * 3600;
        long at = Sampler.later(cartLeftAt, Draws.exponential(key, Purposes.RETURN_DELAY, mean));
        person.buys(at, shop.offer(key, Purposes.OFFER), shop.cents(key, Purposes.ORDER_VALUE));
      }
      return;
    }
    if (Draws.happens(key, Purposes.BUYS_ANYWAY, group.buysNothingBelow)) {
      return;
    }
    long address = Purposes.BUYS_ANYWAY;
    double at = from + Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    while (at <= to) {
      person.buys(1 + (long) at, shop.offer(key, address + 100), shop.cents(key, address + 200));
      address += 1000;
      at += Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    }
  }
}
