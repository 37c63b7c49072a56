package org.opentrellis.core.intake;

import java.io.IOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Characters;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Refused;

/**
 * Reads a row as a person, or says all that is wrong with it. The same address twice in a table is
 * refused the second time: it cannot be known which row is right.
 */
public final class RowReader {
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_TEXT = 200;
  private static final int LONGEST_CELL = 2_000;

  private final TablePlan plan;
  private final Map<String, Long> lines = new HashMap<>();

  public RowReader(TablePlan plan) {
    this.plan = plan;
  }

  /**
   * What became of a row.
   *
   * @param person null if it is refused
   * @param wrong what is wrong with it, in sentences
   */
  public record Read(TableRow row, @Nullable Incoming person, List<String> wrong) {}

  public Read read(TableRow row) {
    List<String> wrong = new ArrayList<>();
    List<String> cells = row.cells();
    if (cells.size() > plan.columns().size()) {
      wrong.add(
          "The row has %d values, but there are %d columns."
              .formatted(cells.size(), plan.columns().size()));
      return new Read(row, null, wrong);
    }
    Person person = new Person();
    for (int i = 0; i < cells.size(); i++) {
      String cell = Formulas.unguarded(cells.get(i).strip());
      if (!cell.isEmpty()) {
        take(person, plan.columns().get(i), cell, wrong);
      }
    }
    if (person.address == null && wrong.isEmpty()) {
      wrong.add("There is no address.");
    }
    if (person.address != null) {
      Long before = lines.putIfAbsent(person.address.toLowerCase(Locale.ROOT), row.line());
      if (before != null && before != row.line()) {
        wrong.add("Line %,d has the same address.".formatted(before));
      }
    }
    return new Read(row, wrong.isEmpty() ? person.incoming(row.line()) : null, wrong);
  }

  private static final class Person {
    private @Nullable String address;
    private @Nullable String firstName;
    private @Nullable String lastName;
    private @Nullable String phone;
    private @Nullable String zone;
    private @Nullable Mailing mailing;
    private final List<Name> labels = new ArrayList<>();
    private final Map<FieldName, Operand> fields = new LinkedHashMap<>();

    Incoming incoming(long line) {
      return new Incoming(
          line,
          Objects.requireNonNull(address),
          firstName,
          lastName,
          phone,
          zone,
          mailing,
          labels.stream().distinct().toList(),
          fields);
    }
  }

  private void take(Person person, ColumnPlan column, String cell, List<String> wrong) {
    try {
      if (column.use() != Use.LEFT_OUT) {
        check(cell);
      }
      switch (column.use()) {
        case ADDRESS -> person.address = new EmailAddress(cell).value();
        case FIRST_NAME -> person.firstName = limited(cell, "a first name", LONGEST_NAME);
        case LAST_NAME -> person.lastName = limited(cell, "a last name", LONGEST_NAME);
        case WHOLE_NAME -> whole(person, cell);
        case PHONE ->
            person.phone =
                (plan.country() == null
                        ? new PhoneNumber(cell)
                        : PhoneNumber.in(plan.country(), cell))
                    .value();
        case ZONE -> person.zone = zone(cell);
        case MAILING -> person.mailing = mailing(cell);
        case LISTS -> names(cell, ListName::new).forEach(person.labels::add);
        case TAGS -> names(cell, TagName::new).forEach(person.labels::add);
        case FIELD -> {
          FieldName field = new FieldName(Objects.requireNonNull(column.field()));
          person.fields.put(field, value(column, cell));
        }
        case LEFT_OUT -> {
          // as the user wants it
        }
      }
    } catch (Refused refused) {
      wrong.add(
          named(column) + " \u201c" + shortened(cell) + "\u201d: " + refused.getMessage() + ".");
    }
  }

  private static void check(String cell) {
    if (cell.length() > LONGEST_CELL) {
      throw new Refused(
          "it has %,d characters; perhaps a quotation mark before it is not closed"
              .formatted(cell.length()));
    }
    if (cell.indexOf('\uFFFD') >= 0) {
      throw new Refused("it has letters that the encoding does not have; try another encoding");
    }
    Characters.refusal(cell)
        .ifPresent(
            why -> {
              throw new Refused("it " + why);
            });
  }

  private static String named(ColumnPlan column) {
    return switch (column.use()) {
      case ADDRESS -> "Address";
      case FIRST_NAME -> "First name";
      case LAST_NAME -> "Last name";
      case WHOLE_NAME -> "Name";
      case PHONE -> "Phone";
      case ZONE -> "Time zone";
      case MAILING -> "Email state";
      case LISTS -> "Lists";
      case TAGS -> "Tags";
      case FIELD -> "Field " + column.field();
      case LEFT_OUT -> "Column";
    };
  }

  private static String shortened(String cell) {
    return cell.length() <= 60 ? cell : cell.substring(0, 60) + "\u2026";
  }

  private static String limited(String cell, String what, int most) {
    if (cell.length() > most) {
      throw new Refused("%s has at most %d characters".formatted(what, most));
    }
    return cell;
  }

  private static void whole(Person person, String cell) {
    int last = cell.lastIndexOf(' ');
    person.firstName =
        limited(last < 0 ? cell : cell.substring(0, last).strip(), "a first name", LONGEST_NAME);
    person.lastName =
        last < 0 ? null : limited(cell.substring(last + 1), "a last name", LONGEST_NAME);
  }

  private static String zone(String cell) {
    try {
      return ZoneId.of(cell).getId();
    } catch (DateTimeException none) {
      throw new Refused("a time zone is written like Europe/Berlin");
    }
  }

  /** Words of several kinds of lists; whoever is said to be subscribed may be mailed. */
  private static Mailing mailing(String cell) {
    return switch (cell.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "")) {
      case "maybemailed", "subscribed", "active", "confirmed", "yes", "true", "1" ->
          Mailing.MAY_BE_MAILED;
      case "notconfirmed", "unconfirmed", "pending" -> Mailing.NOT_CONFIRMED;
      case "unsubscribed", "optedout", "inactive", "no", "false", "0" -> Mailing.UNSUBSCRIBED;
      case "bounced", "cleaned", "invalid" -> Mailing.BOUNCED;
      case "complained", "complaint", "spam" -> Mailing.COMPLAINED;
      default ->
          throw new Refused(
              "it is one of may be mailed, not confirmed, unsubscribed, bounced, complained");
    };
  }

  /**
   * Several in a cell are parted by semicolons, bars or commas, and quoted where they have such.
   */
  private static <N extends Name> List<N> names(String cell, Function<String, N> name) {
    String delimiter = Stream.of(";", "|").filter(cell::contains).findFirst().orElse(",");
    try (CSVParser parser =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(delimiter)
            .setIgnoreSurroundingSpaces(true)
            .setLenientEof(true)
            .setTrailingData(true)
            .get()
            .parse(new java.io.StringReader(cell))) {
      return parser.stream()
          .flatMap(CSVRecord::stream)
          .filter(one -> !one.isBlank())
          .map(name)
          .toList();
    } catch (IOException broken) {
      throw new Refused("names are parted by semicolons");
    }
  }

  private Operand value(ColumnPlan column, String cell) {
    FieldType type = Objects.requireNonNull(column.type());
    return switch (type) {
      case TEXT -> new Operand.Words(limited(cell, "a text", LONGEST_TEXT));
      case NUMBER ->
          new Operand.Number(
              Values.number(cell, Objects.requireNonNull(column.decimal()))
                      .orElseThrow(() -> new Refused("this is no number"))
                  + 0.0);
      case DATE -> new Operand.Date(date(cell, Objects.requireNonNull(column.dates())));
      case YES_NO ->
          new Operand.Words(
              Values.yesNo(cell).orElseThrow(() -> new Refused("this is neither yes nor no"))
                  ? "yes"
                  : "no");
      case ONE_OF ->
          type.read(cell, plan.choices().getOrDefault(column.field(), List.of())).orElseThrow();
    };
  }

  private static LocalDate date(String cell, DateOrder order) {
    Optional<LocalDate> date = Values.date(cell, order);
    // One that begins with its year is read in one way only.
    return date.or(() -> Values.date(cell, DateOrder.YEAR_FIRST))
        .orElseThrow(
            () ->
                new Refused(
                    "this is no date in the order %s, with a year of four digits"
                        .formatted(order.words())));
  }
}
