package org.opentrellis.app.visitors;

import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.app.live.Events;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.journey.Operand;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/**
 * What visitors do in the shop, on its page; and what happens to them elsewhere, as programs tell
 * it. What the shop does not sell is bought elsewhere.
 */
@Component
class ShopVisits {
  private final RegisteredNames names;
  private final Events events;
  private final PublicPages pages;
  private final HttpClient browser = HttpClient.newHttpClient();

  ShopVisits(RegisteredNames names, Events events, PublicPages pages) {
    this.names = names;
    this.events = events;
    this.pages = pages;
  }

  /** Leaves a cart; of something if it is not said of what. */
  void leavesCart(String address, Happening.CartChanged cart) {
    List<String> goods = new ArrayList<>(goods(cart.lines()));
    Set<String> sold = sold();
    goods.retainAll(sold);
    if (goods.isEmpty()) {
      goods.add(
          sold.stream()
              .findFirst()
              .orElseThrow(() -> new IllegalStateException("The shop sells nothing.")));
    }
    String last = goods.removeLast();
    post(address, goods, "add", last);
  }

  /** Buys something. */
  void buys(String address, Happening.Ordered order) {
    List<String> goods = goods(order.lines());
    if (!goods.isEmpty() && sold().containsAll(goods)) {
      post(address, goods, "buy", "yes");
      return;
    }
    ObjectNode event = event("order.placed", address);
    data(event)
        .put("order", "E" + event.get("id").asString().substring(0, 8))
        .put("total", order.total().cents() / 100.0);
    events.take(event);
  }

  /** Something else happens to somebody. */
  void experiences(String address, Happening.EventArrived arrived) {
    ObjectNode event = event(arrived.event().value(), address);
    arrived
        .payload()
        .forEach(
            (name, value) -> {
              switch (value) {
                case Operand.Number number -> data(event).put(name.value(), number.number());
                case Operand.Words words -> data(event).put(name.value(), words.text());
                case Operand.Date date -> data(event).put(name.value(), date.date().toString());
                case Operand.Today today -> {}
                case Operand.OtherField other -> {}
              }
            });
    events.take(event);
  }

  private Set<String> sold() {
    return names.products().stream().map(ProductCard::name).collect(Collectors.toSet());
  }

  private static List<String> goods(List<Line> lines) {
    return lines.stream().map(line -> line.product().value()).toList();
  }

  private static ObjectNode data(ObjectNode event) {
    return (ObjectNode) event.get("data");
  }

  private static ObjectNode event(String type, String address) {
    ObjectNode event = (ObjectNode) Json.tree("{}");
    event
        .put("specversion", "1.0")
        .put("id", UUID.randomUUID().toString())
        .put("source", "/visitors")
        .put("type", type)
        .putObject("data")
        .put("email", address);
    return event;
  }

  private void post(String address, List<String> in, String button, String value) {
    Stream<Map.Entry<String, String>> form =
        Stream.of(Map.entry("address", address), Map.entry(button, value));
    HttpResponse<String> answer =
        pages.post(
            browser, "/shop", Stream.concat(in.stream().map(name -> Map.entry("in", name)), form));
    if (answer.statusCode() >= 400) {
      throw new IllegalStateException("The shop answered %d.".formatted(answer.statusCode()));
    }
  }
}
