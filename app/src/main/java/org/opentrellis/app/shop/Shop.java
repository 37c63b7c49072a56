package org.opentrellis.app.shop;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.letters.MailReaders;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.app.letters.Vouchers;
import org.opentrellis.app.live.Events;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.app.people.KnownPerson;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The stand-in for the account's shop. What happens in it is told as any shop would tell it, by
 * CloudEvents; it keeps nothing by itself. It is shut where real people are mailed.
 */
@Service
class Shop {
  private static final String SOURCE = "/shop";

  private final RegisteredNames names;
  private final Events events;
  private final MailReaders readers;
  private final KnownPeople people;
  private final Vouchers vouchers;
  private final MailRoute route;
  private final Account account;
  private final AccountClock clock;

  Shop(
      RegisteredNames names,
      Events events,
      MailReaders readers,
      KnownPeople people,
      Vouchers vouchers,
      MailRoute route,
      Account account,
      AccountClock clock) {
    this.names = names;
    this.events = events;
    this.readers = readers;
    this.people = people;
    this.vouchers = vouchers;
    this.route = route;
    this.account = account;
    this.clock = clock;
  }

  /** Whether it may be entered at all. */
  boolean isOpen() {
    return route.leavesTo().isEmpty();
  }

  List<ProductCard> products() {
    return names.products();
  }

  Optional<ProductCard> product(String name) {
    return products().stream().filter(one -> one.name().equals(name)).findFirst();
  }

  /** Whoever comes by the link of a mail that only they got. */
  Optional<KnownPerson> by(String mail) {
    OptionalLong person =
        readers.of(mail).map(MailReaders.Reader::person).orElse(OptionalLong.empty());
    return person.isPresent() ? Optional.of(people.find(person.getAsLong())) : Optional.empty();
  }

  /** Their cart as they left it; what is not sold any more is gone. */
  Basket cartOf(KnownPerson person) {
    return new Basket(
        person.cart().stream()
            .flatMap(line -> line.product().stream())
            .flatMap(name -> product(name.value()).stream())
            .toList());
  }

  /** What a voucher is worth today; empty if none of that code holds. */
  Optional<String> worth(String code) {
    return code.isBlank()
        ? Optional.empty()
        : vouchers.worth(code, clock.instant().atZone(account.zone()).toLocalDate());
  }

  /** An address as it is kept; empty if it is none. */
  static Optional<String> address(String typed) {
    try {
      return Optional.of(new EmailAddress(typed.strip()).value());
    } catch (Refused none) {
      return Optional.empty();
    }
  }

  /** Tells that something else lies in somebody's cart. Nobody learns whether they are known. */
  void cartChanged(String address, Basket basket) {
    ObjectNode event = event("cart.changed", address);
    lines(event, basket);
    events.take(event);
  }

  /**
   * Tells that somebody bought what lies in the cart.
   *
   * @param cents what they pay
   * @return the number of the order
   */
  String bought(String address, Basket basket, long cents) {
    String order = "S" + UUID.randomUUID().toString().substring(0, 8);
    ArrayNode both = (ArrayNode) Json.tree("[]");
    ObjectNode placed = event("order.placed", address);
    ((ObjectNode) placed.get("data")).put("order", order).put("total", cents / 100.0);
    lines(placed, basket);
    both.add(placed);
    ObjectNode emptied = event("cart.changed", address);
    lines(emptied, new Basket(List.of()));
    both.add(emptied);
    events.take(both);
    return order;
  }

  private static ObjectNode event(String type, String address) {
    ObjectNode event = (ObjectNode) Json.tree("{}");
    event
        .put("specversion", "1.0")
        .put("id", UUID.randomUUID().toString())
        .put("source", SOURCE)
        .put("type", type)
        .putObject("data")
        .put("email", address);
    return event;
  }

  private static void lines(ObjectNode event, Basket basket) {
    ArrayNode lines = ((ObjectNode) event.get("data")).putArray("lines");
    for (ProductCard one : basket.goods()) {
      lines
          .addObject()
          .put("product", one.name())
          .put("quantity", 1)
          .put("price", one.cents() / 100.0);
    }
  }
}
