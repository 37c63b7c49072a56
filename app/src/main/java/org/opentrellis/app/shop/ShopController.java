package org.opentrellis.app.shop;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.people.KnownPerson;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The stand-in shop; part of the public. All that it knows of a visitor stands in its form. */
@RestController
class ShopController {
  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);
  private static final String ADDRESS =
      "Say your email address, so that we know whose order it is.";

  private final Shop shop;
  private final ShopPage page;

  ShopController(Shop shop, ShopPage page) {
    this.shop = shop;
    this.page = page;
  }

  /**
   * @param mail the token of the mail whose link led here; null if none did
   */
  @GetMapping("/shop")
  ResponseEntity<String> enter(@RequestParam(required = false) @Nullable String mail) {
    if (!shop.isOpen()) {
      return shut();
    }
    Optional<KnownPerson> visitor = mail == null ? Optional.empty() : shop.by(mail);
    Basket basket = visitor.map(shop::cartOf).orElse(new Basket(List.of()));
    return ok(
        page.of(
            shop.products(),
            basket,
            new ShopPage.Customer(
                visitor.map(KnownPerson::address).orElse(""), "", Optional.empty()),
            "",
            ""));
  }

  /** Puts something in or out, tries a voucher, or buys; the button says which. */
  @PostMapping("/shop")
  ResponseEntity<String> act(@RequestParam MultiValueMap<String, String> form) {
    if (!shop.isOpen()) {
      return shut();
    }
    Basket before = basket(form.getOrDefault("in", List.of()));
    Basket basket = changed(before, form);
    String typed = first(form, "address");
    Optional<String> address = Shop.address(typed);
    String voucher = first(form, "voucher");
    Optional<String> worth = shop.worth(voucher);
    String said = "";
    String wrong = !voucher.isBlank() && worth.isEmpty() ? "No voucher of that code holds." : "";
    if (form.containsKey("buy")) {
      if (address.isEmpty()) {
        wrong = ADDRESS;
      } else if (basket.goods().isEmpty()) {
        wrong = "Nothing lies in the cart yet.";
      } else if (wrong.isEmpty()) {
        long cents = basket.cents(worth);
        String order = shop.bought(address.get(), basket, cents);
        said = "Thank you. Your order %s of %s is on its way.".formatted(order, page.amount(cents));
        basket = new Basket(List.of());
        voucher = "";
        worth = Optional.empty();
      }
    } else if (address.isPresent() && !basket.equals(before)) {
      shop.cartChanged(address.get(), basket);
    }
    return ok(
        page.of(
            shop.products(), basket, new ShopPage.Customer(typed, voucher, worth), said, wrong));
  }

  private Basket basket(List<String> names) {
    Basket basket = new Basket(List.of());
    for (String name : names) {
      Optional<ProductCard> product = shop.product(name);
      basket = product.isPresent() ? basket.with(product.get()) : basket;
    }
    return basket;
  }

  private Basket changed(Basket before, MultiValueMap<String, String> form) {
    Optional<ProductCard> in = shop.product(first(form, "add"));
    Optional<ProductCard> out = shop.product(first(form, "out"));
    Basket with = in.map(before::with).orElse(before);
    return out.map(with::without).orElse(with);
  }

  private static String first(MultiValueMap<String, String> form, String name) {
    String typed = form.getFirst(name);
    return typed == null ? "" : typed.substring(0, Math.min(400, typed.length()));
  }

  private static ResponseEntity<String> ok(String html) {
    return of(HttpStatus.OK, html);
  }

  private ResponseEntity<String> shut() {
    return of(
        HttpStatus.NOT_FOUND,
        page.of(
            List.of(),
            new Basket(List.of()),
            new ShopPage.Customer("", "", Optional.empty()),
            "",
            "This shop is a stand-in, and shut where real people get mail."));
  }

  private static ResponseEntity<String> of(HttpStatus status, String html) {
    return ResponseEntity.status(status)
        .contentType(HTML)
        .cacheControl(CacheControl.noStore())
        .body(html);
  }
}
