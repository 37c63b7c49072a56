package org.opentrellis.core.format;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.function.Function;
import org.opentrellis.core.calendar.Years;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.message.Colour;
import org.opentrellis.core.problem.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.DecimalNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * How one kind of single value stands in a document.
 *
 * @param read from a value of the right JSON type; refuses with Refused
 * @param schema what JSON Schema says of it
 */
record ScalarForm(
    Function<JsonNode, Object> read,
    Function<Object, JsonNode> write,
    String expected,
    Map<String, Object> schema) {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final Map<String, Object> TEXT = SchemaWriter.ordered("type", "string");

  private static final Map<Class<?>, ScalarForm> ALL =
      Map.ofEntries(
          Map.entry(String.class, text(given -> given, "a text", TEXT)),
          Map.entry(boolean.class, truth()),
          Map.entry(int.class, whole()),
          Map.entry(Integer.class, whole()),
          Map.entry(long.class, longWhole()),
          Map.entry(Long.class, longWhole()),
          Map.entry(Boolean.class, truth()),
          Map.entry(double.class, number()),
          Map.entry(Double.class, number()),
          Map.entry(Money.class, money()),
          Map.entry(LocalTime.class, text(ScalarForm::time, "a time such as 09:00", clock())),
          Map.entry(
              LocalDate.class, text(ScalarForm::date, "a date such as 2027-03-14", format("date"))),
          Map.entry(Colour.class, text(Colour::new, "a colour such as #143D30", TEXT)),
          Map.entry(
              LocalDateTime.class,
              text(ScalarForm::dateTime, "a date and time such as 2027-03-14T09:00", TEXT)),
          Map.entry(
              Instant.class,
              text(
                  ScalarForm::instant,
                  "a moment such as 2027-03-14T09:00:00Z",
                  format("date-time"))),
          Map.entry(
              ZoneId.class,
              text(ScalarForm::zone, "a time zone such as Europe/Berlin", format("time-zone"))));

  /** The leaf for a type, or null if it is made of parts. */
  static @org.jspecify.annotations.Nullable ScalarForm of(Class<?> type) {
    return ALL.get(type);
  }

  /** A type with a single text inside, which stands for it. */
  static ScalarForm wrapping(Function<String, Object> make, Function<Object, String> text) {
    return new ScalarForm(
        given -> make.apply(string(given)),
        value -> NODES.stringNode(text.apply(value)),
        "a text",
        TEXT);
  }

  private static ScalarForm text(
      Function<String, Object> parse, String expected, Map<String, Object> schema) {
    return new ScalarForm(
        given -> parse.apply(string(given)),
        value -> NODES.stringNode(value instanceof ZoneId zone ? zone.getId() : value.toString()),
        expected,
        schema);
  }

  private static String string(JsonNode given) {
    if (!given.isString()) {
      throw new WrongKind();
    }
    return given.stringValue();
  }

  private static ScalarForm truth() {
    return new ScalarForm(
        given -> {
          if (!given.isBoolean()) {
            throw new WrongKind();
          }
          return given.booleanValue();
        },
        value -> NODES.booleanNode((Boolean) value),
        "true or false",
        SchemaWriter.ordered("type", "boolean"));
  }

  private static ScalarForm whole() {
    return new ScalarForm(
        given -> (int) inWhole(given, Integer.MIN_VALUE, Integer.MAX_VALUE),
        value -> NODES.numberNode((Integer) value),
        "a whole number",
        SchemaWriter.ordered("type", "integer"));
  }

  private static ScalarForm longWhole() {
    return new ScalarForm(
        given -> inWhole(given, Long.MIN_VALUE, Long.MAX_VALUE),
        value -> NODES.numberNode((Long) value),
        "a whole number",
        SchemaWriter.ordered("type", "integer"));
  }

  private static long inWhole(JsonNode given, long least, long most) {
    if (!given.isNumber() || !given.canConvertToExactIntegral() || !given.canConvertToLong()) {
      throw new WrongKind();
    }
    long value = given.asLong();
    if (value < least || value > most) {
      throw new WrongKind();
    }
    return value;
  }

  private static ScalarForm number() {
    return new ScalarForm(
        given -> {
          if (!given.isNumber() || !Double.isFinite(given.doubleValue())) {
            throw new WrongKind();
          }
          return given.doubleValue();
        },
        ScalarForm::shortest,
        "a number",
        SchemaWriter.ordered("type", "number"));
  }

  /** Whole numbers without a point, so that a file reads as people write. */
  private static JsonNode shortest(Object value) {
    double number = (Double) value;
    return number == Math.rint(number) && Math.abs(number) < 1e15
        ? NODES.numberNode((long) number)
        : NODES.numberNode(number);
  }

  private static ScalarForm money() {
    return new ScalarForm(
        given -> {
          if (!given.isNumber() || Math.abs(given.doubleValue()) > 1e12) {
            throw new WrongKind();
          }
          double cents = given.doubleValue() * 100;
          if (Math.abs(cents - Math.rint(cents)) > 1e-6) {
            throw new Refused("an amount of money has at most two decimals");
          }
          return new Money(Math.round(cents));
        },
        value -> DecimalNode.valueOf(java.math.BigDecimal.valueOf(((Money) value).cents(), 2)),
        "an amount of money such as 49.90",
        SchemaWriter.ordered("type", "number", "format", "money", "minimum", 0));
  }

  private static Map<String, Object> clock() {
    return SchemaWriter.ordered(
        "type", "string", "format", "clock", "pattern", "^([01][0-9]|2[0-3]):[0-5][0-9]$");
  }

  private static Map<String, Object> format(String format) {
    return SchemaWriter.ordered("type", "string", "format", format);
  }

  private static LocalDateTime dateTime(String text) {
    return parsed(
        () -> LocalDateTime.parse(text),
        "a date and time is written as 2027-03-14T09:00, not " + text);
  }

  private static LocalTime time(String text) {
    return parsed(() -> LocalTime.parse(text), "a time of day is written as 09:00, not " + text);
  }

  private static LocalDate date(String text) {
    return Years.withinReason(
        parsed(() -> LocalDate.parse(text), "a date is written as 2027-03-14, not " + text));
  }

  private static Instant instant(String text) {
    return Years.withinReason(
        parsed(
            () -> Instant.parse(text), "a moment is written as 2027-03-14T09:00:00Z, not " + text));
  }

  private static ZoneId zone(String text) {
    return parsed(
        () -> ZoneId.of(text), "there is no time zone " + text + "; write one like Europe/Berlin");
  }

  private static <T> T parsed(java.util.function.Supplier<T> parse, String refusal) {
    try {
      return parse.get();
    } catch (DateTimeException wrong) {
      throw new Refused(refusal);
    }
  }

  /** The value is of another JSON type than needed. */
  static final class WrongKind extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }
}
