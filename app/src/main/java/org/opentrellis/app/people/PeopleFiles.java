package org.opentrellis.app.people;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Gatherers;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.app.names.NamedField;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.intake.Formulas;
import org.springframework.stereotype.Service;

/** People as files: many as a table that can be brought in again, one with all that is known. */
@Service
class PeopleFiles {
  private static final int PIECE = 1_000;
  private static final List<String> HEADS =
      List.of(
          "email", "first name", "last name", "phone", "time zone", "email state", "lists", "tags");

  private final PeopleMapper mapper;
  private final ArrivalMapper many;
  private final People people;
  private final Crowd crowd;
  private final PeopleInOrder inOrder;
  private final RegisteredNames names;

  PeopleFiles(
      PeopleMapper mapper,
      ArrivalMapper many,
      People people,
      Crowd crowd,
      PeopleInOrder inOrder,
      RegisteredNames names) {
    this.mapper = mapper;
    this.many = many;
    this.people = people;
    this.crowd = crowd;
    this.inOrder = inOrder;
    this.names = names;
  }

  /** A selection of people, ready to be written. */
  record Selection(List<Long> numbers, List<String> fields) {}

  /** Whom a table would have; what is wrong with the sentence is told before it begins. */
  Selection select(Whom whom) {
    return new Selection(
        crowd.numbers(people.meant(whom)).boxed().toList(),
        names.fields().stream().map(NamedField::name).sorted().toList());
  }

  /** Writes them as CSV (RFC 4180), some at a time. */
  void write(Selection selection, Writer out) {
    String[] heads =
        Stream.concat(HEADS.stream(), selection.fields().stream().map(Formulas::guarded))
            .toArray(String[]::new);
    try (CSVPrinter printer =
        new CSVPrinter(out, CSVFormat.RFC4180.builder().setHeader(heads).get())) {
      List<Long> numbers = selection.numbers();
      for (List<Long> piece : numbers.stream().gather(Gatherers.windowFixed(PIECE)).toList()) {
        write(inOrder.rows(piece), selection.fields(), printer);
      }
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }

  private void write(List<PersonRow> rows, List<String> fields, CSVPrinter printer)
      throws IOException {
    Long[] ids = rows.stream().map(PersonRow::id).toArray(Long[]::new);
    Map<Long, List<LabelRow>> labels =
        many.labels(ids).stream()
            .filter(one -> one.until() == null)
            .collect(Collectors.groupingBy(LabelRow::personId));
    Map<Long, Map<String, String>> values =
        many.fields(ids).stream()
            .collect(
                Collectors.groupingBy(
                    FilledRow::personId,
                    Collectors.toMap(FilledRow::name, one -> one.value().shown())));
    for (PersonRow row : rows) {
      List<LabelRow> carried = labels.getOrDefault(row.id(), List.of());
      List<@Nullable String> cells = new ArrayList<>();
      cells.add(row.address());
      cells.add(row.firstName());
      cells.add(row.lastName());
      cells.add(row.phone());
      cells.add(row.zone());
      cells.add(row.mailing().words());
      cells.add(several(carried, NameKind.LIST));
      cells.add(several(carried, NameKind.TAG));
      Map<String, String> filled = values.getOrDefault(row.id(), Map.of());
      fields.forEach(field -> cells.add(filled.get(field)));
      printer.printRecord(
          cells.stream().map(cell -> cell == null ? "" : Formulas.guarded(cell)).toList());
    }
  }

  private static String several(List<LabelRow> labels, NameKind kind) {
    return labels.stream()
        .filter(one -> one.kind() == kind)
        .map(LabelRow::name)
        .sorted()
        .map(PeopleFiles::quoted)
        .collect(Collectors.joining("; "));
  }

  /** A name that has a sign which parts names. */
  private static String quoted(String name) {
    return name.matches(".*[;|,\"].*") ? '"' + name.replace("\"", "\"\"") + '"' : name;
  }

  /**
   * Everything that is known of one of them.
   *
   * @throws NotFound if there is nobody of that number
   */
  PersonFile all(long id) {
    return new PersonFile(
        people.view(id), mapper.purchases(id), mapper.carts(id), mapper.events(id));
  }
}
