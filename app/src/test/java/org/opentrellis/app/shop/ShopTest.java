package org.opentrellis.app.shop;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.entrances.PublicVisitor;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.names.ProductCard;
import tools.jackson.databind.JsonNode;

/** A cart is left, a mail brings its owner back, they buy: by the pages that anybody has. */
class ShopTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final PublicVisitor VISITOR = new PublicVisitor(APP::address);

  @Test
  void aCartThatWasLeftIsFoundAgainAndBought() {
    WORKSHOP.openNamed("Left on the bench");
    long person = WORKSHOP.person("shopper@example.com");
    assertThat(VISITOR.get("/shop").body()).contains("What we sell", "Feeder", "Nothing lies in");
    HttpResponse<String> filled =
        VISITOR.post("/shop", Map.of("add", "Feeder", "address", "shopper@example.com"));
    assertThat(filled.statusCode()).isEqualTo(200);
    assertThat(filled.body()).contains("Take out Feeder");
    // At night nothing goes out.
    WORKSHOP.turn(23 * 3600);

    JsonNode mail = WORKSHOP.mails("shopper@example.com").getFirst();
    String link = LiveWorkshop.link(mail, "Back to the kit");
    HttpResponse<String> led = VISITOR.get(URI.create(link).getPath());
    assertThat(led.statusCode()).isEqualTo(302);
    String shop = led.headers().firstValue("Location").orElseThrow();
    assertThat(shop).startsWith("/shop?mail=");
    assertThat(VISITOR.get(shop).body())
        .as("their cart as they left it")
        .contains("shopper@example.com", "Take out Feeder");

    HttpResponse<String> bought =
        VISITOR.post(
            "/shop", Map.of("in", "Feeder", "address", "shopper@example.com", "buy", "yes"));
    assertThat(bought.body()).contains("Thank you. Your order S", "Nothing lies in it yet.");
    WORKSHOP.turn(60);
    JsonNode lived = WORKSHOP.live(person);
    assertThat(lived.get("stands")).isEmpty();
    assertThat(lived.get("happened").toString())
        .contains("Bought for", "Met the goal.", "Left: the goal was met.");
    assertThat(VISITOR.get(shop).body()).contains("Nothing lies in it yet.");
  }

  @Test
  void whoeverAsksLearnsNothingAndWhatTheyTypeIsOnlyShown() {
    String known =
        VISITOR.post("/shop", Map.of("add", "Feeder", "address", "n@example.com")).body();
    WORKSHOP.person("known@example.com");
    String there =
        VISITOR.post("/shop", Map.of("add", "Feeder", "address", "known@example.com")).body();
    assertThat(there.replace("known@", "n@")).isEqualTo(known);
    assertThat(VISITOR.post("/shop", Map.of("voucher", "<script>alert(1)</script>")).body())
        .contains("No voucher of that code holds.", "&lt;script&gt;")
        .doesNotContain("<script>");
    assertThat(VISITOR.post("/shop", Map.of("in", "Feeder", "voucher", "bench")).body())
        .as("one that a message of the demo gives")
        .contains("with your voucher: a feeder for nothing");
    assertThat(VISITOR.post("/shop", Map.of("in", "Feeder", "buy", "yes")).body())
        .contains("Say your email address");
    assertThat(VISITOR.post("/shop", Map.of("in", "No such thing", "add", "Nor this")).body())
        .contains("Nothing lies in it yet.");
    assertThat(VISITOR.get("/shop?mail=" + "a".repeat(22)).body()).contains("Nothing lies in it");
    HttpResponse<String> headers = VISITOR.get("/shop");
    assertThat(headers.headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'", "frame-ancestors 'self'")
        .doesNotContain("script-src");
    HttpResponse<String> foreign =
        VISITOR.send(
            VISITOR
                .to("/shop")
                .header("Origin", "https://elsewhere.example")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(
                    HttpRequest.BodyPublishers.ofString(
                        "in=Feeder&address=known@example.com&buy=yes")));
    assertThat(foreign.statusCode()).isEqualTo(403);
  }

  @Test
  void vouchersTakeOffWhatTheySay() {
    Basket basket =
        new Basket(
            List.of(new ProductCard("Hive", null, 10_000L), new ProductCard("Jar", null, 900L)));
    assertThat(basket.cents(Optional.empty())).isEqualTo(10_900);
    assertThat(basket.cents(Optional.of("15%"))).isEqualTo(9_265);
    assertThat(basket.cents(Optional.of("12,5 % off"))).isEqualTo(9_538);
    assertThat(basket.cents(Optional.of("5 \u20ac"))).isEqualTo(10_400);
    assertThat(basket.cents(Optional.of("a jar of honey"))).isEqualTo(10_900);
    assertThat(basket.cents(Optional.of("500 \u20ac"))).isZero();
    assertThat(basket.without(new ProductCard("Jar", null, 900L)).cents()).isEqualTo(10_000);
  }
}
