package org.opentrellis.app.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.app.names.ProductCard;

/**
 * What lies in somebody's cart. Immutable.
 *
 * @param goods a product as often as it lies there
 */
record Basket(List<ProductCard> goods) {
  private static final int MOST = 50;
  private static final Pattern PERCENT = Pattern.compile("(\\d{1,3}(?:[.,]\\d+)?)\\s*%.*");
  private static final Pattern AMOUNT = Pattern.compile("\\D*(\\d{1,5}(?:[.,]\\d{1,2})?)\\D*");

  Basket {
    goods = List.copyOf(goods);
  }

  Basket with(ProductCard product) {
    List<ProductCard> more = new ArrayList<>(goods);
    if (more.size() < MOST) {
      more.add(product);
    }
    return new Basket(more);
  }

  Basket without(ProductCard product) {
    List<ProductCard> fewer = new ArrayList<>(goods);
    fewer.remove(product);
    return new Basket(fewer);
  }

  long cents() {
    return goods.stream().mapToLong(ProductCard::cents).sum();
  }

  /**
   * With a voucher.
   *
   * @param worth such as "15%" or "5 €"; what cannot be read takes nothing off
   */
  long cents(Optional<String> worth) {
    if (worth.isEmpty()) {
      return cents();
    }
    String said = worth.get().strip().toLowerCase(Locale.ROOT);
    Matcher percent = PERCENT.matcher(said);
    if (percent.matches()) {
      double off = Math.min(100, Double.parseDouble(percent.group(1).replace(',', '.')));
      return Math.round(cents() * (1 - off / 100));
    }
    Matcher amount = AMOUNT.matcher(said);
    if (amount.matches()) {
      long off = Math.round(100 * Double.parseDouble(amount.group(1).replace(',', '.')));
      return Math.max(0, cents() - off);
    }
    return cents();
  }
}
