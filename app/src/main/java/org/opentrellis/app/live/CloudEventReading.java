package org.opentrellis.app.live;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import tools.jackson.databind.JsonNode;

/**
 * Reads events as programs send them: CloudEvents 1.0 in their JSON format (CNCF CloudEvents, "JSON
 * Event Format", sections 2 to 4). What is wrong is told all at once, with its place.
 */
final class CloudEventReading {
  static final String CART = "cart.changed";
  static final String ORDER = "order.placed";
  private static final int LONGEST_SOURCE = 400;
  private static final int LONGEST_ID = 200;

  private static final BigDecimal MOST_CENTS = BigDecimal.TEN.pow(11);

  /** Clocks of other machines may be so much ahead. */
  private static final long AHEAD_SECONDS = 300;

  private final long now;
  private final List<Problem> problems = new ArrayList<>();

  private CloudEventReading(long now) {
    this.now = now;
  }

  /**
   * An event that was read.
   *
   * @param address of the person that it is about
   */
  record Heard(String source, String id, String address, Happening happening) {}

  /**
   * One event, or a batch of them.
   *
   * @param now the account's time, in epoch seconds
   * @throws ProblemsFound with everything that is wrong; then nothing of it is taken
   */
  static List<Heard> read(JsonNode body, long now) {
    CloudEventReading reading = new CloudEventReading(now);
    List<Heard> heard = new ArrayList<>();
    if (body.isArray()) {
      for (int i = 0; i < body.size(); i++) {
        reading.event(body.get(i), "/" + i).ifPresent(heard::add);
      }
    } else {
      reading.event(body, "").ifPresent(heard::add);
    }
    if (!reading.problems.isEmpty()) {
      throw new ProblemsFound(reading.problems);
    }
    return heard;
  }

  private Optional<Heard> event(JsonNode event, String place) {
    if (!event.isObject()) {
      wrong(place, "An event is an object, or several in a list.");
      return Optional.empty();
    }
    int before = problems.size();
    if (!event.path("specversion").asString("").equals("1.0")) {
      wrong(place + "/specversion", "Events are CloudEvents with specversion 1.0.");
    }
    String id = text(event, "id", place, LONGEST_ID);
    String source = text(event, "source", place, LONGEST_SOURCE);
    String type = text(event, "type", place, 80);
    long at = time(event.path("time"), place + "/time");
    JsonNode data = event.path("data");
    if (!data.isObject()) {
      wrong(place + "/data", "What the event says stands in data, as an object.");
      return Optional.empty();
    }
    String address =
        address(
            data.path("email").asString(event.path("subject").asString("")), place + "/data/email");
    if (problems.size() > before) {
      return Optional.empty();
    }
    return happening(type, id, data, at, place + "/data")
        .map(happening -> new Heard(source, id, address, happening));
  }

  private void wrong(String place, String sentence) {
    problems.add(new Problem(Refused.BAD_VALUE, place, sentence));
  }

  private String text(JsonNode event, String name, String place, int most) {
    JsonNode value = event.path(name);
    String text = value.isString() ? value.asString().strip() : "";
    if (text.isEmpty() || text.length() > most) {
      wrong(
          place + "/" + name,
          "Each event has \u201c%s\u201d: a text of at most %d characters.".formatted(name, most));
    }
    return text;
  }

  private long time(JsonNode given, String place) {
    if (given.isMissingNode() || given.isNull()) {
      return now;
    }
    try {
      long at = OffsetDateTime.parse(given.asString("")).toEpochSecond();
      if (at > now + AHEAD_SECONDS) {
        wrong(place, "The event lies ahead of the account\u2019s clock; it has not happened yet.");
      }
      return Math.min(at, now);
    } catch (DateTimeParseException wrong) {
      wrong(place, "A time is written like 2026-03-04T07:41:00Z.");
      return now;
    }
  }

  private String address(String typed, String place) {
    try {
      return new EmailAddress(typed).value();
    } catch (Refused refused) {
      wrong(
          place,
          "Say whom it is about, by their address in data.email or as subject: "
              + refused.getMessage()
              + ".");
      return "";
    }
  }

  private Optional<Happening> happening(
      String type, String id, JsonNode data, long at, String place) {
    try {
      return switch (type) {
        case CART -> Optional.of(new Happening.CartChanged(at, lines(data, place)));
        case ORDER -> order(id, data, at, place);
        default -> Optional.of(new Happening.EventArrived(at, id, new EventName(type), says(data)));
      };
    } catch (Refused refused) {
      wrong(place, refused.sentence());
      return Optional.empty();
    }
  }

  private Optional<Happening> order(String id, JsonNode data, long at, String place) {
    List<Line> lines = lines(data, place);
    long sum = lines.stream().mapToLong(line -> line.price().cents()).sum();
    @Nullable Money total =
        data.has("total") ? money(data.get("total"), place + "/total") : new Money(sum);
    if (lines.isEmpty() && !data.has("total")) {
      wrong(place + "/total", "An order says its lines, or its total.");
      return Optional.empty();
    }
    return total == null
        ? Optional.empty()
        : Optional.of(
            new Happening.Ordered(
                at, data.path("order").asString(id), lines, total, Optional.empty()));
  }

  private List<Line> lines(JsonNode data, String place) {
    List<Line> lines = new ArrayList<>();
    JsonNode given = data.path("lines");
    for (int i = 0; i < given.size(); i++) {
      JsonNode line = given.get(i);
      String here = place + "/lines/" + i;
      @Nullable Money price = money(line.path("price"), here + "/price");
      String product = line.path("product").asString("");
      if (product.isBlank()) {
        wrong(here + "/product", "Each line names a product.");
      } else if (price != null) {
        lines.add(new Line(new ProductName(product), line.path("quantity").asInt(1), price));
      }
    }
    return lines;
  }

  /** An amount of the account's currency, such as 12.50. */
  private @Nullable Money money(JsonNode given, String place) {
    if (!given.isNumber() || given.decimalValue().signum() < 0) {
      wrong(place, "An amount is a number that is not below 0, such as 12.50.");
      return null;
    }
    BigDecimal cents = given.decimalValue().movePointRight(2);
    if (cents.stripTrailingZeros().scale() > 0) {
      wrong(place, "An amount has at most two decimals.");
      return null;
    }
    if (cents.compareTo(MOST_CENTS) > 0) {
      wrong(place, "An amount is at most a thousand million.");
      return null;
    }
    return new Money(cents.longValue());
  }

  /** What an event of somebody's own says about itself: texts, numbers and dates. */
  private static Map<AttributeName, Operand> says(JsonNode data) {
    Map<AttributeName, Operand> says = new HashMap<>();
    data.properties()
        .forEach(
            one -> {
              if (!one.getKey().equals("email")) {
                operand(one.getValue())
                    .ifPresent(value -> says.put(new AttributeName(one.getKey()), value));
              }
            });
    return says;
  }

  private static Optional<Operand> operand(JsonNode value) {
    if (value.isNumber()) {
      return Optional.of(new Operand.Number(value.doubleValue()));
    }
    if (value.isBoolean()) {
      return Optional.of(new Operand.Words(value.asBoolean() ? "yes" : "no"));
    }
    if (!value.isString() || value.asString().isBlank()) {
      return Optional.empty();
    }
    try {
      return Optional.of(new Operand.Date(LocalDate.parse(value.asString())));
    } catch (DateTimeParseException words) {
      String text = value.asString().strip();
      return Optional.of(new Operand.Words(text.substring(0, Math.min(200, text.length()))));
    }
  }
}
