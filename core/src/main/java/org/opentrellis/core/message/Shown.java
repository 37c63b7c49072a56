package org.opentrellis.core.message;

import java.util.List;
import org.opentrellis.core.journey.ProductName;

/** Which products are shown. */
public sealed interface Shown permits Shown.Chosen, Shown.InCart, Shown.Bought {

  /** The same ones to everybody. */
  record Chosen(List<ProductName> products) implements Shown {
    public Chosen {
      products = List.copyOf(products);
    }
  }

  /** What is in each person's cart. */
  record InCart() implements Shown {}

  /** What each person bought last. */
  record Bought() implements Shown {}
}
