package org.opentrellis.core.happening;

import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.problem.Refused;

/**
 * One line of a cart or an order.
 *
 * @param quantity at least 1
 * @param price of all of them together
 */
public record Line(ProductName product, int quantity, Money price) {
  public Line {
    if (quantity < 1) {
      throw new Refused("a line has at least one thing, not " + quantity);
    }
  }
}
