package org.opentrellis.core.dryrun;

import org.opentrellis.core.behaviour.AudienceGroup;
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

  /** What a person buys from time to time. */
  void buysAnyway(Person person, long from, long to) {
    Traits who = Traits.of(person);
    if (buysSomething(who.key, who.group)) {
      buysAnyway(who.key, who.group, from, to, person::buys);
    }
  }

  /** Whether somebody buys at all, which most do not. */
  static boolean buysSomething(long key, GroupDraws group) {
    return !Draws.happens(key, Purposes.BUYS_ANYWAY, group.buysNothingBelow);
  }

  /** Is told of what somebody buys. */
  interface Buys {
    void buys(long at, int offer, long cents);
  }

  void buysAnyway(long key, GroupDraws group, long from, long to, Buys somebody) {
    long address = Purposes.BUYS_ANYWAY;
    double at = from + Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    while (at <= to) {
      somebody.buys(1 + (long) at, shop.offer(key, address + 100), shop.cents(key, address + 200));
      address += 1000;
      at += Draws.exponential(key, address, group.buysAnywayMeanSeconds);
    }
  }

  /**
   * A cart of which the journey begins to know some time after its last change. It may be bought by
   * itself; the delay counts from that change. Had it been bought sooner, nobody would have come,
   * so both are drawn given that it was not: the chance is lower, and an exponential delay goes on
   * as if it had just begun.
   *
   * @param key of this cart's draws
   * @param comesAt when the person comes to the journey
   * @param secondsLeft since the cart's last change
   */
  void leavesCart(Person person, long key, long comesAt, long secondsLeft) {
    Traits who = Traits.of(person);
    who.leftCart = true;
    int offer = shop.offer(key, Purposes.OFFER);
    long cents = shop.cents(key, Purposes.ORDER_VALUE);
    person.fillsCart(comesAt - secondsLeft, offer, cents);
    returnsToCart(person, key, comesAt, secondsLeft, offer, cents);
  }

  /**
   * Perhaps buys what lies in a cart that was left so long ago, with whatever is sent.
   *
   * @param key of this cart's draws
   */
  void returnsToCart(
      Person person, long key, long comesAt, long secondsLeft, int offer, long cents) {
    AudienceGroup group = Traits.of(person).group.group;
    double mean = group.returnMeanHours().value() * 3600;
    double chance = stillReturns(group.returnsToCart().value(), secondsLeft / mean);
    if (Traits.happens(key, Purposes.RETURNS_TO_CART, chance)) {
      long at = Sampler.later(comesAt, Draws.exponential(key, Purposes.RETURN_DELAY, mean));
      person.buys(at, offer, cents);
    }
  }

  /**
   * The chance that somebody returns to a cart to which they have not returned so far.
   *
   * @param chance of all who leave one
   * @param means the time so far, in means of the time it takes
   */
  static double stillReturns(double chance, double means) {
    double later = chance * StrictMath.exp(-means);
    return later == 0 ? 0 : later / (1 - chance + later);
  }
}
