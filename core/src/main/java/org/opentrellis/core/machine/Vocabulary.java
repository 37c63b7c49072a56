package org.opentrellis.core.machine;

import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.Purchases;

/**
 * What a program is compiled against.
 *
 * @param products what the shop sells; purchases go by its numbering
 */
record Vocabulary(Names names, Catalogue catalogue, List<Product> products) {
  Vocabulary {
    products = List.copyOf(products);
  }

  /** A message; one that is not there is an empty one of its name. */
  Message message(MessageId id) {
    return catalogue.message(id).orElseGet(() -> Message.email(id.value(), id.value(), id.value()));
  }

  /**
   * Asks for some purchases.
   *
   * @param within so long ago at the most, or null for since entry
   */
  Question.Bought bought(Purchases what, @Nullable Amount within) {
    long least = what.atLeast().map(Money::cents).orElse(0L);
    return new Question.Bought(offers(what), least, within);
  }

  /** The products that fit, or null if every purchase does. */
  private @Nullable BitSet offers(Purchases what) {
    if (what.product().isEmpty() && what.category().isEmpty()) {
      return null;
    }
    BitSet fitting = new BitSet();
    for (int i = 0; i < products.size(); i++) {
      Product product = products.get(i);
      fitting.set(
          i,
          what.product().map(product.name()::equals).orElse(true)
              && what.category().map(product.category()::equals).orElse(true));
    }
    return fitting;
  }
}
