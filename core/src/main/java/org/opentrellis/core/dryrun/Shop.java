package org.opentrellis.core.dryrun;

import java.util.List;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Offer;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/** What people buy, and for how much. Immutable. */
final class Shop {
  private static final long MOST_CENTS = 10_000_000_000L;

  private final double[] upTo;
  private final QuantileTable value;

  Shop(Behaviour behaviour) {
    List<Offer> offers = behaviour.offers();
    double total = offers.stream().mapToDouble(Offer::weight).sum();
    upTo = new double[offers.size()];
    double sum = 0;
    for (int i = 0; i < upTo.length; i++) {
      sum += offers.get(i).weight() / total;
      upTo[i] = sum;
    }
    value =
        QuantileTable.logNormal(
            behaviour.orderMedian().value() * 100, behaviour.orderSigma().value());
  }

  /** The shop's products as the journeys know them. */
  static List<Product> products(Behaviour behaviour) {
    return behaviour.offers().stream()
        .map(offer -> new Product(offer.product(), offer.category()))
        .toList();
  }

  /** Which product; -1 if there is but one kind of thing. */
  int offer(long key, long address) {
    if (upTo.length == 0) {
      return -1;
    }
    double u = Draws.uniform(key, address);
    int offer = 0;
    while (offer < upTo.length - 1 && u >= upTo[offer]) {
      offer++;
    }
    return offer;
  }

  /** The value of an order in cents. */
  long cents(long key, long address) {
    return Math.min(MOST_CENTS, (long) value.draw(key, address));
  }

  /** The product of the first of some draws that fits, or -2 if none does. */
  int fitting(Purchases what, World world, long key, long address) {
    for (int attempt = 0; attempt < 200; attempt++) {
      int offer = offer(key, address + attempt);
      if (world.fits(what, offer, Long.MAX_VALUE)) {
        return offer;
      }
    }
    return -2;
  }
}
