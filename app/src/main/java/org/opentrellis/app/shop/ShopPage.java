package org.opentrellis.app.shop;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.Templates;
import org.opentrellis.app.names.ProductCard;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Writes the pages of the shop, which work without scripts. */
@Component
class ShopPage {
  private final TemplateEngine engine = Templates.in("shop");
  private final Account account;

  ShopPage(Account account) {
    this.account = account;
  }

  /** A product as the page shows it. */
  record Shown(String name, @Nullable String about, String price) {}

  /**
   * Somebody at the counter.
   *
   * @param address as it was typed
   * @param voucher likewise
   * @param worth what the voucher is worth, if it holds
   */
  record Customer(String address, String voucher, Optional<String> worth) {}

  /**
   * @param said what came of what they did; empty for nothing
   * @param wrong what is to be mended before it can be done; empty for nothing
   */
  String of(
      List<ProductCard> products, Basket basket, Customer customer, String said, String wrong) {
    AccountWriter writer = account.writer();
    return engine.process(
        "shop",
        new Context(
            Locale.ENGLISH,
            Map.of(
                "account",
                writer.name().isBlank() ? "The shop" : writer.name(),
                "products",
                products.stream().map(one -> shown(one, writer)).toList(),
                "basket",
                basket.goods().stream().map(one -> shown(one, writer)).toList(),
                "total",
                amount(basket.cents(customer.worth()), writer),
                "off",
                customer.worth().orElse(""),
                "customer",
                customer,
                "parts",
                parts(products, basket),
                "said",
                said,
                "wrong",
                wrong)));
  }

  /** A cart in which something lies comes first. */
  private static List<String> parts(List<ProductCard> products, Basket basket) {
    if (products.isEmpty()) {
      return List.of();
    }
    return basket.goods().isEmpty() ? List.of("sold", "cart") : List.of("cart", "sold");
  }

  String amount(long cents) {
    return amount(cents, account.writer());
  }

  private static Shown shown(ProductCard card, AccountWriter writer) {
    return new Shown(card.name(), card.about(), amount(card.cents(), writer));
  }

  private static String amount(long cents, AccountWriter writer) {
    return writer.regional().amount(BigDecimal.valueOf(cents, 2));
  }
}
