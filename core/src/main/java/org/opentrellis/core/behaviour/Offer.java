package org.opentrellis.core.behaviour;

import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.problem.Refused;

/**
 * Something that people buy.
 *
 * @param weight how often, against the others; more than 0
 */
public record Offer(ProductName product, CategoryName category, double weight) {
  public Offer {
    if (!(weight > 0 && weight < 1e9)) {
      throw new Refused("a product's weight must be more than 0, not " + weight);
    }
  }
}
