package org.opentrellis.core.reading;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.Purchases;

/** Reads which purchases count: "something from Hives for at least 100". */
final class PurchaseReader {
  private static final Pattern MONEY = Pattern.compile("(\\d{1,9})(?:\\.(\\d{2}))?");
  private static final String ANYTHING =
      "(anything|something|a product|any product|one of our products|any of our products)( at all)?";

  /** What may follow when no product is named. */
  private static final String ALONE =
      "for at least|worth|in the|within|during|since|from|out of|and|but|or|by|then|else|waiting|"
          + "for|at most|once|again|every|each|if|only|meanwhile";

  private final Cursor cursor;
  private final Scope scope;

  PurchaseReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
  }

  /** "Anything", "something from Hives for at least 100.00", or a product. */
  Purchases read() {
    Optional<ProductName> product = Optional.empty();
    cursor.could("something from");
    boolean open = cursor.any("anything", ANYTHING) || cursor.atPause() || cursor.sees(ALONE);
    if (!open) {
      product =
          Optional.of(
              scope.named(
                  cursor,
                  "product",
                  ProductName.class,
                  ProductName::new,
                  ConditionReader.FOLLOWERS));
    }
    Optional<CategoryName> category =
        cursor.any("from", "out of|in( the)? category|of( the)? category")
            ? Optional.of(
                scope.named(
                    cursor,
                    "category",
                    CategoryName.class,
                    CategoryName::new,
                    ConditionReader.FOLLOWERS))
            : Optional.empty();
    boolean least =
        cursor.any("for at least", "worth (at least|more than|over)|for (over|more than)");
    return new Purchases(product, category, least ? Optional.of(money()) : Optional.empty());
  }

  private Money money() {
    cursor.could("100.00");
    int from = cursor.at();
    Matcher amount = cursor.matches(MONEY);
    if (amount == null) {
      throw cursor.lost();
    }
    String cents = amount.group(2) == null ? "00" : amount.group(2);
    return cursor.meaning(from, () -> new Money(Long.parseLong(amount.group(1) + cents)));
  }
}
