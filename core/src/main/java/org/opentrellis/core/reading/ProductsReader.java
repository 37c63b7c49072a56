package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.message.Shown;
import org.opentrellis.core.sentence.Style;

/** Reads which products a message shows. */
final class ProductsReader {
  private static final int MOST_NAMED = 4;

  private final Cursor cursor;
  private final KnownNames known;

  ProductsReader(Cursor cursor, KnownNames known) {
    this.cursor = cursor;
    this.known = known;
  }

  /** Those that are chosen, those in the cart, or those bought. */
  Shown read() {
    if (cursor.any("from the cart", "(that are )?in (the|their) cart|from (their|your) cart")) {
      return new Shown.InCart();
    }
    if (cursor.any("bought", "(that )?(they|you) bought|from (the|their) last order")) {
      return new Shown.Bought();
    }
    List<ProductName> chosen = new ArrayList<>();
    do {
      int from = cursor.at();
      boolean exactly = cursor.atQuote();
      String name = cursor.reference("product", known.of(ProductName.class), "at most|and|up to");
      if (!exactly && !known.of(ProductName.class).contains(name)) {
        throw unknownProduct(name, from, cursor.end());
      }
      chosen.add(cursor.meaning(from, () -> new ProductName(name)));
    } while (cursor.silently(",") || cursor.silently("and"));
    return new Shown.Chosen(chosen);
  }

  private NotUnderstood unknownProduct(String name, int from, int to) {
    Collection<String> sold = known.of(ProductName.class);
    String more =
        Nearest.name(name, sold)
            .map(one -> " Did you mean " + Style.quoted(one) + "?")
            .orElseGet(() -> " There is " + some(sold) + ".");
    return new NotUnderstood("No product is called " + Style.quoted(name) + "." + more, from, to);
  }

  private static String some(Collection<String> names) {
    return names.isEmpty()
        ? "none yet"
        : names.stream().limit(MOST_NAMED).map(Style::quoted).collect(Collectors.joining(", "));
  }
}
