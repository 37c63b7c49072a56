package org.opentrellis.core.dryrun;

import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.random.Draws;

/** Who a person is: drawn once, and kept with them. Mutable and reused, for speed. */
final class Traits {
  int number;
  long key;
  GroupDraws group;
  double keenness;
  boolean preloads;
  boolean deadAddress;

  /** Whether they leave a cart to come to a journey. */
  boolean leftCart;

  /** What they do with a message, while it is drawn. */
  final Response response = new Response();

  Traits(GroupDraws group) {
    this.group = group;
  }

  static Traits of(Person person) {
    return (Traits) person.traits();
  }

  /** Draws who a person is. */
  void become(int personNumber, long personKey, Cohort cohort) {
    number = personNumber;
    key = personKey;
    leftCart = false;
    group = GroupDraws.of(key, cohort.groups());
    keenness = group.keenness.draw(key, Purposes.KEENNESS);
    preloads = Draws.happens(key, Purposes.PRELOADS, group.preloads);
    deadAddress = Draws.happens(key, Purposes.DEAD_ADDRESS, group.hardBounce);
  }

  boolean happens(long address, double chance) {
    return happens(key, address, chance);
  }

  static boolean happens(long key, long address, double chance) {
    return Draws.happens(key, address, Draws.cells(chance));
  }

  boolean heldOut(double share) {
    return happens(Purposes.HOLD_OUT, share);
  }

  boolean agreesToTexts() {
    return happens(Purposes.TEXT_CONSENT, group.group.textConsent().value());
  }

  /** The key of a visit's draws: another for each time somebody comes. */
  long keyOf(Visit visit) {
    return visit.number() == 0
        ? key
        : Draws.bits(key, Draws.address(Purposes.PASS, Integer.toString(visit.number())));
  }
}
