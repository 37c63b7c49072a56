package org.opentrellis.app.intake;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.Terms;
import org.opentrellis.core.intake.ColumnPlan;
import org.opentrellis.core.intake.TablePlan;
import org.opentrellis.core.intake.Use;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.people.PhoneNumber;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Component;

/** Looks through what is said of a table, all at once, before any row is read. */
@Component
class TablePlans {
  private static final int LONGEST_AGREEMENT = 200;

  private final RegisteredNames names;

  TablePlans(RegisteredNames names) {
    this.names = names;
  }

  /**
   * How its rows are read.
   *
   * @throws ProblemsFound with all that is missing or cannot be
   */
  TablePlan plan(TableOrder order) {
    List<Problem> problems = new ArrayList<>();
    columns(order.columns(), problems);
    country(order.country(), problems);
    require(problems);
    return new TablePlan(
        order.columns(),
        order.country(),
        names.fields().stream().collect(Collectors.toMap(NamedField::name, NamedField::mayBe)));
  }

  private static void require(List<Problem> problems) {
    if (!problems.isEmpty()) {
      throw new ProblemsFound(problems);
    }
  }

  private static void country(@Nullable String country, List<Problem> problems) {
    if (country != null && !PhoneNumber.knows(country)) {
      problems.add(
          new Problem(
              "bad-value", "/country", "A country is written with two capitals, such as NO."));
    }
  }

  private void columns(List<ColumnPlan> columns, List<Problem> problems) {
    long addresses = columns.stream().filter(one -> one.use() == Use.ADDRESS).count();
    if (addresses != 1) {
      problems.add(
          new Problem(
              "bad-value",
              "/columns",
              addresses == 0
                  ? "Say which column has the addresses."
                  : "Only one column can have the addresses; leave the others out."));
    }
    Map<String, FieldType> types = names.fieldTypes();
    Set<Object> seen = new HashSet<>();
    IntStream.range(0, columns.size())
        .filter(i -> columns.get(i).use() != Use.LEFT_OUT)
        .forEach(i -> column(columns.get(i), "/columns/" + i, seen, types, problems));
  }

  private static void column(
      ColumnPlan column,
      String place,
      Set<Object> seen,
      Map<String, FieldType> types,
      List<Problem> problems) {
    Object what = column.use() == Use.FIELD ? String.valueOf(column.field()) : column.use();
    boolean several =
        column.use() == Use.LISTS || column.use() == Use.TAGS || column.use() == Use.ADDRESS;
    if (!seen.add(what) && !several) {
      problems.add(
          new Problem("bad-value", place, "Another column is taken for the same already."));
    }
    if (column.use() == Use.FIELD) {
      field(column, types).ifPresent(why -> problems.add(new Problem("bad-value", place, why)));
    }
  }

  private static java.util.Optional<String> field(ColumnPlan column, Map<String, FieldType> types) {
    FieldType type = column.type();
    if (column.field() == null || type == null) {
      return java.util.Optional.of("Say which field it is and what it holds.");
    }
    try {
      new FieldName(column.field());
    } catch (Refused refused) {
      return java.util.Optional.of(refused.sentence());
    }
    FieldType had = types.get(column.field());
    if (had != null && had != type) {
      return java.util.Optional.of(
          "The field holds %s, not %s.".formatted(had.words(), type.words()));
    }
    if (type == FieldType.DATE && column.dates() == null) {
      return java.util.Optional.of("Say in which order dates stand there.");
    }
    if (type == FieldType.NUMBER && column.decimal() == null) {
      return java.util.Optional.of("Say what stands before decimals there.");
    }
    return java.util.Optional.empty();
  }

  /** The lists that all are put on and the tags that all get, as far as they can be. */
  static Set<Name> labels(TableOrder order) {
    List<Name> labels = new ArrayList<>();
    List<Problem> problems = new ArrayList<>();
    labels(order.lists(), "/lists/", ListName::new, labels, problems);
    labels(order.tags(), "/tags/", TagName::new, labels, problems);
    return new HashSet<>(labels);
  }

  /**
   * What holds for all its people.
   *
   * @throws ProblemsFound if something is missing or cannot be
   */
  Terms terms(TableOrder order, String file) {
    List<Problem> problems = new ArrayList<>();
    List<Name> labels = new ArrayList<>();
    labels(order.lists(), "/lists/", ListName::new, labels, problems);
    labels(order.tags(), "/tags/", TagName::new, labels, problems);
    String agreed = order.agreed() == null ? "" : order.agreed().strip();
    if (order.agreement() == null) {
      problems.add(
          new Problem("required", "/agreement", "Say whether these people agreed to email."));
    } else if (order.agreement() == Agreement.THEY_AGREED && agreed.isEmpty()) {
      problems.add(
          new Problem("required", "/agreed", "Say how you know that they agreed to email."));
    } else if (agreed.length() > LONGEST_AGREEMENT) {
      problems.add(
          new Problem(
              "bad-value",
              "/agreed",
              "How you know it has at most %d characters.".formatted(LONGEST_AGREEMENT)));
    }
    zone(order.zone(), problems);
    require(problems);
    return new Terms(
        "by import of " + file,
        order.known(),
        labels,
        order.agreement() == Agreement.THEY_AGREED ? agreed : null,
        order.zone(),
        Boolean.TRUE.equals(order.startsJourneys()));
  }

  private static void labels(
      List<String> given,
      String place,
      Function<String, Name> name,
      List<Name> labels,
      List<Problem> problems) {
    for (int i = 0; i < given.size(); i++) {
      try {
        labels.add(name.apply(given.get(i)));
      } catch (Refused refused) {
        problems.add(new Problem(refused.code(), place + i, refused.sentence()));
      }
    }
  }

  private static void zone(String zone, List<Problem> problems) {
    try {
      ZoneId.of(zone);
    } catch (DateTimeException none) {
      problems.add(new Problem("bad-value", "/zone", "A time zone is written like Europe/Berlin."));
    }
  }

  /** Makes the names that are not there yet. */
  void makeNames(TableOrder order, Terms terms) {
    terms.labels().forEach(names::number);
    order.columns().stream()
        .filter(one -> one.use() == Use.FIELD)
        .forEach(
            one ->
                names.number(
                    new FieldName(Objects.requireNonNull(one.field())),
                    Objects.requireNonNull(one.type())));
  }
}
