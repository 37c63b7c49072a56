package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/**
 * CloudEvents 1.0: {@code id}, {@code source}, {@code specversion} and {@code type} are required,
 * {@code time} is a timestamp as in RFC 3339 (CloudEvents 1.0.2, sections "Required attributes" and
 * "time"; from memory).
 */
class CloudEventReadingTest {
  private static final long NOW = Instant.parse("2026-03-04T12:00:00Z").getEpochSecond();

  private static List<CloudEventReading.Heard> read(String json) {
    return CloudEventReading.read(Json.tree(json), NOW);
  }

  private static String event(String type, String data) {
    return """
        {"specversion": "1.0", "id": "1", "source": "/shop", "type": "%s",
         "time": "2026-03-04T12:41:00+01:00", "data": %s}
        """
        .formatted(type, data);
  }

  private static List<Problem> refused(String json) {
    return catchThrowableOfType(ProblemsFound.class, () -> read(json)).problems();
  }

  @Test
  void cartsAndOrdersAreReadToTheCent() {
    CloudEventReading.Heard heard =
        read(event(
                "cart.changed",
                """
                {"email": "Somebody@example.com", "lines": [
                  {"product": "Hive kit", "quantity": 2, "price": 249.99},
                  {"product": "Veil", "price": 19}]}
                """))
            .getFirst();
    assertThat(heard.address()).isEqualToIgnoringCase("somebody@example.com");
    Happening.CartChanged cart = (Happening.CartChanged) heard.happening();
    assertThat(cart.at()).isEqualTo(Instant.parse("2026-03-04T11:41:00Z").getEpochSecond());
    assertThat(cart.lines())
        .extracting(line -> line.price().cents())
        .containsExactly(24_999L, 1_900L);
    assertThat(cart.lines()).extracting(line -> line.quantity()).containsExactly(2, 1);

    Happening.Ordered order =
        (Happening.Ordered)
            read(event("order.placed", "{\"email\": \"a@example.com\", \"total\": 0.1}"))
                .getFirst()
                .happening();
    assertThat(order.total().cents()).isEqualTo(10);
    assertThat(order.order()).as("the event's id, unless it has a number").isEqualTo("1");
  }

  @Test
  void whatAnEventSaysOfItselfIsTextsNumbersAndDates() {
    Happening.EventArrived event =
        (Happening.EventArrived)
            read(event(
                    "course.booked",
                    """
                    {"email": "a@example.com", "course": "Swarm day", "places": 2,
                     "on": "2026-05-09", "paid": true, "nothing": null, "blank": " "}
                    """))
                .getFirst()
                .happening();
    assertThat(event.event().value()).isEqualTo("course.booked");
    assertThat(event.payload())
        .hasSize(4)
        .containsEntry(new AttributeName("course"), new Operand.Words("Swarm day"))
        .containsEntry(new AttributeName("places"), new Operand.Number(2))
        .containsEntry(new AttributeName("on"), new Operand.Date(LocalDate.of(2026, 5, 9)))
        .containsEntry(new AttributeName("paid"), new Operand.Words("yes"));
  }

  /** Clocks differ a little; what lies far ahead has not happened. */
  @Test
  void nothingHappensAheadOfTheAccountsClock() {
    String soon =
        event("a", "{\"email\": \"a@example.com\"}").replace("12:41:00+01:00", "12:04:00Z");
    assertThat(read(soon).getFirst().happening().at()).isEqualTo(NOW);
    assertThat(refused(soon.replace("12:04:00Z", "12:06:00Z")))
        .extracting(Problem::place)
        .containsExactly("/time");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "specversion": "1.0" | "specversion": "0.3" | /specversion
          "id": "1"            | "id": " "            | /id
          "source": "/shop"    | "origin": "/shop"    | /source
          "time": "2026        | "time": "yesterday   | /time
          "email": "a@         | "email": "a          | /data/email
          "price": 1.5         | "price": -1.5        | /data/lines/0/price
          "price": 1.5         | "price": 1.505       | /data/lines/0/price
          "price": 1.5         | "price": 1e30        | /data/lines/0/price
          "price": 1.5         | "price": "1.5"       | /data/lines/0/price
          "product": "Veil"    | "product": " "       | /data/lines/0/product
          "quantity": 1        | "quantity": -1       | /data
          """)
  void whatIsWrongIsSaidWithItsPlaceAndNothingIsTaken(String right, String wrong, String place) {
    String good =
        event(
            "cart.changed",
            """
            {"email": "a@example.com",
             "lines": [{"product": "Veil", "quantity": 1, "price": 1.5}]}
            """);
    assertThat(good).contains(right);
    assertThat(read(good)).hasSize(1);
    String bad = good.replace(right, wrong);
    assertThat(refused(bad)).extracting(Problem::place).contains(place);
    assertThat(refused("[" + good + ", " + bad + "]"))
        .extracting(Problem::place)
        .contains("/1" + place);
  }

  @Test
  void anEventIsAnObjectWithData() {
    assertThat(refused("[7]")).extracting(Problem::place).containsExactly("/0");
    assertThat(refused(event("a", "[]"))).extracting(Problem::place).contains("/data");
    assertThat(refused(event("order.placed", "{\"email\": \"a@example.com\"}")))
        .extracting(Problem::place)
        .containsExactly("/data/total");
  }
}
