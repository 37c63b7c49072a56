package org.opentrellis.app.intake;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.Act;
import org.opentrellis.app.people.ActKind;
import org.opentrellis.app.people.ActView;
import org.opentrellis.app.people.Acts;
import org.opentrellis.app.people.Arrivals;
import org.opentrellis.app.people.Forgotten;
import org.opentrellis.app.people.JourneyDoors;
import org.opentrellis.app.people.PersonForgotten;
import org.opentrellis.app.people.Terms;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.intake.ColumnGuess;
import org.opentrellis.core.intake.Incoming;
import org.opentrellis.core.intake.TableForm;
import org.opentrellis.core.intake.TableRows;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.ObjectMapper;

/** Tables of people: handed in, looked at, checked, and brought in. */
@Service
class Tables {
  private static final int SAMPLES = 3;
  private static final int ROWS_TO_GUESS_BY = 1_000;
  private static final int MOST_COLUMNS = 100;
  private static final int PIECE = 2_000;
  private static final int REFUSALS_SHOWN = 50;
  private static final int LONGEST_NAME = 100;
  private static final long A_DAY = 86_400;

  private final TableMapper mapper;
  private final TablePlans plans;
  private final JourneyDoors doors;
  private final Arrivals arrivals;
  private final Forgotten forgotten;
  private final Acts acts;
  private final RegisteredNames names;
  private final TransactionTemplate transaction;
  private final ObjectMapper json;
  private final Clock clock;

  Tables(
      TableMapper mapper,
      TablePlans plans,
      JourneyDoors doors,
      Arrivals arrivals,
      Forgotten forgotten,
      Acts acts,
      RegisteredNames names,
      TransactionTemplate transaction,
      ObjectMapper json,
      Clock clock) {
    this.mapper = mapper;
    this.plans = plans;
    this.doors = doors;
    this.arrivals = arrivals;
    this.forgotten = forgotten;
    this.acts = acts;
    this.names = names;
    this.transaction = transaction;
    this.json = json;
    this.clock = clock;
  }

  /**
   * Takes a table in; nobody is brought in yet.
   *
   * @throws ProblemsFound if nothing is in it
   */
  TableView handIn(String name, byte[] table) {
    TableForm form = TableForm.found(table);
    requireColumns(table, form);
    long now = clock.instant().getEpochSecond();
    NewKey key = new NewKey();
    transaction.executeWithoutResult(
        status -> {
          mapper.forgetOlder(now - A_DAY);
          mapper.insert(named(name), now, table, form, key);
        });
    return view(key.id());
  }

  private static String named(String file) {
    String name = file.strip().replaceAll("[\\p{Cntrl}]", "");
    if (name.isEmpty()) {
      return "a table";
    }
    return name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME);
  }

  private static void requireColumns(byte[] table, TableForm form) {
    List<List<String>> first = form.firstRows(table, 1);
    if (first.isEmpty()) {
      throw ProblemsFound.badValue(
          "/", "The table is empty: a row for each person is needed, with an address.");
    }
    if (first.getFirst().size() > MOST_COLUMNS) {
      throw ProblemsFound.badValue(
          "/",
          "The table has %,d columns; at most %d are read."
              .formatted(first.getFirst().size(), MOST_COLUMNS));
    }
  }

  /**
   * @throws NotFound if there is none, or it is brought in
   */
  TableView view(long id) {
    TableRecord table = waiting(id);
    byte[] content = content(id);
    TableForm form = form(table);
    List<List<String>> first = form.firstRows(content, ROWS_TO_GUESS_BY);
    List<String> heads = form.header() && !first.isEmpty() ? first.getFirst() : List.of();
    List<List<String>> body =
        first.subList(form.header() && !first.isEmpty() ? 1 : 0, first.size());
    int width =
        heads.isEmpty() ? first.stream().mapToInt(List::size).max().orElse(0) : heads.size();
    Map<String, FieldType> types = names.fieldTypes();
    List<TableView.FoundColumn> columns =
        IntStream.range(0, Math.min(width, MOST_COLUMNS))
            .mapToObj(i -> column(i < heads.size() ? heads.get(i) : "", i, body, types))
            .toList();
    return new TableView(
        id, table.name(), form, TableForm.ENCODINGS, count(content, form), columns);
  }

  private static TableView.FoundColumn column(
      String head, int i, List<List<String>> body, Map<String, FieldType> types) {
    List<String> cells = body.stream().map(row -> i < row.size() ? row.get(i) : "").toList();
    ColumnGuess guess = ColumnGuess.of(head, cells, types);
    return new TableView.FoundColumn(
        head,
        cells.stream().filter(cell -> !cell.isBlank()).distinct().limit(SAMPLES).toList(),
        guess.plan(),
        guess.asks());
  }

  private static long count(byte[] content, TableForm form) {
    long count = 0;
    try (TableRows rows = new TableRows(content, form)) {
      for (; rows.hasNext(); rows.next()) {
        count++;
      }
    }
    return count;
  }

  private TableRecord waiting(long id) {
    return mapper
        .find(id)
        .filter(one -> one.actId() == null)
        .orElseThrow(() -> NotFound.of("table to bring in", id));
  }

  private byte[] content(long id) {
    return mapper.content(id).orElseThrow(() -> NotFound.of("table to bring in", id)).content();
  }

  private static TableForm form(TableRecord table) {
    return new TableForm(table.encoding(), table.delimiter(), table.header());
  }

  /** Reads it as the user says it is written. */
  TableView read(long id, TableFormOrder order) {
    waiting(id);
    try {
      TableForm form = new TableForm(order.encoding(), order.delimiter(), order.header());
      requireColumns(content(id), form);
      transaction.executeWithoutResult(status -> mapper.setForm(id, form));
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
    return view(id);
  }

  /**
   * What bringing it in would do; every row is read.
   *
   * @throws ProblemsFound if it cannot be read that way
   */
  CheckView check(long id, TableOrder order) {
    TableRecord table = waiting(id);
    long rows = 0;
    long added = 0;
    long known = 0;
    long gone = 0;
    long refused = 0;
    Map<String, Long> entering = new TreeMap<>();
    Set<Name> labels = TablePlans.labels(order);
    Map<Set<Name>, List<String>> doorsOf = new HashMap<>();
    List<CheckView.RefusedLine> refusals = new ArrayList<>();
    try (TableReading reading =
        new TableReading(content(id), form(table), plans.plan(order), forgotten)) {
      for (TableReading.Piece piece = reading.next(PIECE);
          piece.rows() > 0;
          piece = reading.next(PIECE)) {
        Map<String, Mailing> there = arrivals.known(piece.people());
        rows += piece.rows();
        if (Boolean.TRUE.equals(order.startsJourneys())) {
          piece.people().forEach(person -> enters(person, labels, doorsOf, entering));
        }
        known += there.size();
        gone += there.values().stream().filter(Mailing::gone).count();
        added += piece.people().size() - there.size();
        refused += piece.refused().size();
        piece.refused().stream()
            .limit(REFUSALS_SHOWN - refusals.size())
            .forEach(row -> refusals.add(new CheckView.RefusedLine(row.line(), row.why())));
      }
    }
    return new CheckView(
        rows,
        added,
        known,
        refused,
        Stream.concat(
                TableWords.would(added, known, gone, refused, order.known()).stream(),
                TableWords.entering(entering, known).stream())
            .toList(),
        refusals);
  }

  private void enters(
      Incoming person,
      Set<Name> ofAll,
      Map<Set<Name>, List<String>> doorsOf,
      Map<String, Long> entering) {
    Set<Name> labels = new HashSet<>(ofAll);
    labels.addAll(person.labels());
    doorsOf
        .computeIfAbsent(labels, doors::enteredBy)
        .forEach(journey -> entering.merge(journey, 1L, Long::sum));
  }

  /**
   * Brings it in.
   *
   * @throws ProblemsFound if something is missing
   */
  ActView begin(long id, TableOrder order) {
    TableRecord table = waiting(id);
    plans.plan(order);
    Terms terms = plans.terms(order, table.name());
    long size = count(content(id), form(table));
    long act =
        transaction.execute(
            status -> {
              plans.makeNames(order, terms);
              long number =
                  acts.keep(
                      Act.begun(
                          ActKind.TABLE,
                          "Import of " + table.name(),
                          clock.instant().getEpochSecond(),
                          size));
              if (mapper.begin(id, number, json.writeValueAsString(order)) == 0) {
                throw new Refusal(
                    HttpStatus.CONFLICT, "under-way", "It is being brought in already.", null);
              }
              return number;
            });
    return acts.carryOut(act);
  }

  /** In the transaction in which somebody is forgotten. */
  @EventListener
  void forget(PersonForgotten person) {
    mapper.forget(person.address().toLowerCase(Locale.ROOT));
    mapper.forgetWaiting();
  }

  /**
   * @throws NotFound if no table was brought in by such an act
   */
  void requireAct(long act) {
    if (mapper.findOfAct(act).isEmpty()) {
      throw NotFound.of("import", act);
    }
  }

  /** The rows that an import refused, with the reason in a first column, to be mended. */
  void writeRefused(long act, Writer out) {
    TableRecord table = mapper.ofAct(act);
    TableOrder order = json.readValue(Objects.requireNonNull(table.terms()), TableOrder.class);
    try {
      out.write(Csv.line(TableWords.heads(order)) + "\r\n");
      long last = 0;
      for (List<RefusedRow> rows = mapper.refused(table.id(), last, PIECE);
          !rows.isEmpty();
          rows = mapper.refused(table.id(), last, PIECE)) {
        for (RefusedRow row : rows) {
          out.write(Csv.line(List.of(Long.toString(row.line()), row.why())));
          out.write((row.cells().isEmpty() ? "" : "," + row.cells()) + "\r\n");
        }
        last = rows.getLast().rowNumber();
      }
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }
}
