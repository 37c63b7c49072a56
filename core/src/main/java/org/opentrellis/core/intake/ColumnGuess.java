package org.opentrellis.core.intake;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.people.FieldType;

/**
 * What a column seems to be, by its name and by what stands in it. What can be read in two ways is
 * not guessed: the plan lacks it, and {@link #asks} says so. Names in brackets are left out.
 *
 * @param asks what has to be said before the column can be read; null if nothing
 */
public record ColumnGuess(ColumnPlan plan, @Nullable String asks) {
  private static final Map<Use, List<String>> NAMES =
      Map.of(
          Use.ADDRESS, List.of("email", "address", "emailaddress", "mail", "mailaddress"),
          Use.FIRST_NAME, List.of("firstname", "first", "forename", "givenname"),
          Use.LAST_NAME, List.of("lastname", "last", "surname", "familyname"),
          Use.WHOLE_NAME, List.of("name", "fullname"),
          Use.PHONE, List.of("phone", "mobile", "telephone", "phonenumber", "cell"),
          Use.ZONE, List.of("timezone", "zone"),
          Use.MAILING, List.of("mailing", "status", "emailstate", "emailstatus", "subscribed"),
          Use.LISTS, List.of("lists", "list"),
          Use.TAGS, List.of("tags", "tag"));

  /**
   * @param head the column's name; empty if it has none
   * @param cells what stands in it, in some rows
   * @param fields the fields that there are, with their types
   */
  public static ColumnGuess of(String head, List<String> cells, Map<String, FieldType> fields) {
    List<String> values = cells.stream().map(String::strip).filter(one -> !one.isEmpty()).toList();
    if (head.isBlank() || head.strip().startsWith("(")) {
      boolean addresses = head.isBlank() && mostlyAddresses(values);
      return new ColumnGuess(ColumnPlan.of(addresses ? Use.ADDRESS : Use.LEFT_OUT), null);
    }
    Optional<Use> named = named(head);
    if (named.isPresent()) {
      return new ColumnGuess(ColumnPlan.of(named.get()), null);
    }
    if (mostlyAddresses(values)) {
      return new ColumnGuess(ColumnPlan.of(Use.ADDRESS), null);
    }
    String field = head.strip();
    FieldType type = fields.get(field);
    return asField(field, type == null ? typeOf(values) : type, values);
  }

  private static boolean mostlyAddresses(List<String> values) {
    return values.stream().filter(one -> one.contains("@")).count() * 2 > values.size();
  }

  private static Optional<Use> named(String head) {
    String plain = head.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", "");
    return NAMES.entrySet().stream()
        .filter(entry -> entry.getValue().contains(plain))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private static FieldType typeOf(List<String> values) {
    if (values.isEmpty()) {
      return FieldType.TEXT;
    }
    if (nearlyAll(values, one -> orders(one).findAny().isPresent())) {
      return FieldType.DATE;
    }
    if (nearlyAll(values, one -> marks(one).findAny().isPresent())
        && values.stream().noneMatch(ColumnGuess::isCode)) {
      return FieldType.NUMBER;
    }
    return nearlyAll(values, one -> Values.yesNo(one).isPresent())
        ? FieldType.YES_NO
        : FieldType.TEXT;
  }

  /** A slip in one of twenty makes no other kind of column: its row is refused, and told. */
  private static boolean nearlyAll(List<String> values, Predicate<String> fits) {
    return values.stream().filter(fits.negate()).count() * 20 <= values.size();
  }

  /** What begins with a nought or a plus is a code or a number to ring, and no amount. */
  private static boolean isCode(String value) {
    return value.length() > 1 && value.charAt(0) == '0' && Character.isDigit(value.charAt(1))
        || value.startsWith("+");
  }

  /** The same column as a field of some type: how its values are written is found anew. */
  public static ColumnGuess asField(String field, FieldType type, List<String> cells) {
    List<String> values = cells.stream().map(String::strip).filter(one -> !one.isEmpty()).toList();
    return switch (type) {
      case DATE -> dates(field, values);
      case NUMBER -> numbers(field, values);
      case TEXT, YES_NO, ONE_OF ->
          new ColumnGuess(new ColumnPlan(Use.FIELD, field, type, null, null), null);
    };
  }

  private static java.util.stream.Stream<DateOrder> orders(String value) {
    return Arrays.stream(DateOrder.values()).filter(order -> Values.date(value, order).isPresent());
  }

  private static java.util.stream.Stream<DecimalMark> marks(String value) {
    return Arrays.stream(DecimalMark.values())
        .filter(mark -> Values.number(value, mark).isPresent());
  }

  /** Nothing in it can be read in two ways. */
  private static boolean isEmpty(List<String> cells) {
    return cells.stream().allMatch(String::isBlank);
  }

  /** What cannot be read either way is no reason to ask; its row is refused later. */
  private static ColumnGuess dates(String field, List<String> cells) {
    List<String> values = cells.stream().filter(one -> orders(one).findAny().isPresent()).toList();
    List<DateOrder> fitting =
        Arrays.stream(DateOrder.values())
            .filter(order -> values.stream().allMatch(one -> Values.date(one, order).isPresent()))
            .toList();
    boolean same =
        values.stream()
            .allMatch(
                one ->
                    fitting.stream().map(order -> Values.date(one, order)).distinct().count() <= 1);
    boolean known =
        isEmpty(cells) || !values.isEmpty() && (fitting.size() == 1 || !fitting.isEmpty() && same);
    ColumnPlan plan =
        new ColumnPlan(Use.FIELD, field, FieldType.DATE, known ? fitting.getFirst() : null, null);
    return new ColumnGuess(
        plan,
        known
            ? null
            : "Dates such as %s can be read in more than one way: say in which order they stand."
                .formatted(values.stream().findFirst().orElse("03/04/2027")));
  }

  private static ColumnGuess numbers(String field, List<String> cells) {
    List<String> values = cells.stream().filter(one -> marks(one).findAny().isPresent()).toList();
    List<DecimalMark> fitting =
        Arrays.stream(DecimalMark.values())
            .filter(mark -> values.stream().allMatch(one -> Values.number(one, mark).isPresent()))
            .toList();
    Optional<String> twofold =
        values.stream()
            .filter(
                one ->
                    fitting.stream().map(mark -> Values.number(one, mark)).distinct().count() > 1)
            .findFirst();
    boolean known =
        isEmpty(cells)
            || !values.isEmpty()
                && (fitting.size() == 1 || !fitting.isEmpty() && twofold.isEmpty());
    return new ColumnGuess(
        new ColumnPlan(Use.FIELD, field, FieldType.NUMBER, null, known ? fitting.getFirst() : null),
        known
            ? null
            : "Numbers such as %s can be read in more than one way: say what stands before decimals."
                .formatted(
                    twofold
                        .or(() -> values.stream().filter(Objects::nonNull).findFirst())
                        .orElse("1.234")));
  }
}
