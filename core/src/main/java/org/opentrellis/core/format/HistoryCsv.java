package org.opentrellis.core.format;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;
import org.opentrellis.core.calendar.Years;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;

/**
 * Reads what became of messages from CSV (RFC 4180) with a header: {@code person}, {@code message}
 * and {@code sent}, and if there are any {@code delivered}, {@code opened}, {@code clicked}, {@code
 * unsubscribed}, {@code bought} and {@code zone}. Times are ISO 8601 with their offset, such as
 * {@code 2027-03-14T09:00:00Z}; empty where it did not happen. Without a column {@code delivered}
 * everything counts as delivered. Refused are rows that stand twice, and what became of a message
 * before it was sent.
 */
public final class HistoryCsv {
  private static final List<String> NEEDED = List.of("person", "message", "sent");
  private static final List<String> KNOWN =
      List.of(
          "person",
          "message",
          "sent",
          "delivered",
          "opened",
          "clicked",
          "unsubscribed",
          "bought",
          "zone");
  private static final int MOST_PROBLEMS = 20;
  private static final int MOST_COLUMNS = 200;
  private static final int LONGEST_HEADER = 65_536;

  private final Problems problems = new Problems();
  private final Map<List<Object>, Long> lines = new HashMap<>();
  private int found;

  private HistoryCsv() {}

  /**
   * Reads line by line; nothing but the records is held in memory.
   *
   * @throws ProblemsFound with the line of each problem, at most {@value #MOST_PROBLEMS}
   * @throws UncheckedIOException if the text cannot be read to its end
   */
  public static List<SendRecord> read(Reader text) {
    try {
      return new HistoryCsv().records(new BufferedReader(text));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  /** The header's columns are counted before it is read: it may be no CSV at all. */
  private void checkHeader(BufferedReader text) throws IOException {
    text.mark(LONGEST_HEADER + 1);
    long columns = 1;
    boolean empty = true;
    int c = text.read();
    for (int read = 1; c >= 0 && (empty || c != '\n') && read < LONGEST_HEADER; read++) {
      empty &= Character.isWhitespace(c);
      columns += c == ',' ? 1 : 0;
      c = text.read();
    }
    text.reset();
    if (empty) {
      add("bad-value", "", "The file is empty.");
    } else if (columns > MOST_COLUMNS) {
      add(
          "too-many-columns",
          "/0",
          "Line 1: there are %,d columns; at most %d are read.".formatted(columns, MOST_COLUMNS));
    }
    problems.throwIfAny();
  }

  private List<SendRecord> records(BufferedReader text) throws IOException {
    checkHeader(text);
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
            .setIgnoreEmptyLines(true)
            .get();
    List<SendRecord> records = new ArrayList<>();
    long line = 1;
    try (CSVParser parser = CSVParser.parse(text, format)) {
      List<String> header = parser.getHeaderNames();
      NEEDED.stream()
          .filter(column -> !header.contains(column))
          .forEach(
              column ->
                  add(
                      "missing-column",
                      "/0",
                      "There is no column \u201c%s\u201d.".formatted(column)));
      header.stream()
          .filter(column -> !KNOWN.contains(column))
          .forEach(
              column ->
                  add(
                      "unknown-column",
                      "/0",
                      "Column \u201c%s\u201d is none of %s."
                          .formatted(column, String.join(", ", KNOWN))));
      problems.throwIfAny();
      for (CSVRecord record : parser) {
        line = parser.getCurrentLineNumber() + 1;
        record(record).ifPresent(records::add);
        if (found >= MOST_PROBLEMS) {
          break;
        }
      }
    } catch (CSVException
        | UncheckedIOException
        | IllegalArgumentException
        | IllegalStateException broken) {
      if (broken.getCause() instanceof IOException cause && !(cause instanceof CSVException)) {
        throw cause;
      }
      add(
          "bad-csv",
          "/" + (line - 1),
          line == 1
              ? "Line 1: this is no header of a CSV. Every column needs a name of its own, and quotation marks must enclose whole names."
              : "Line %d: this is no CSV from here on. Quotation marks must enclose whole values, and each that begins must end."
                  .formatted(line));
    }
    problems.throwIfAny();
    return records;
  }

  private Optional<SendRecord> record(CSVRecord line) {
    int before = found;
    if (!line.isConsistent()) {
      add(
          "bad-csv",
          place(line),
          at(line)
              + "there are %d values, which is not as many as columns.".formatted(line.size()));
      return Optional.empty();
    }
    String person = needed(line, "person");
    String message = needed(line, "message");
    Optional<Instant> sent = time(line, "sent");
    if (sent.isEmpty() && found == before) {
      needed(line, "sent");
    }
    Optional<Instant> delivered = line.isMapped("delivered") ? time(line, "delivered") : sent;
    SendRecord record =
        new SendRecord(
            person,
            message,
            zone(line),
            sent.orElse(Instant.EPOCH),
            delivered,
            time(line, "opened"),
            time(line, "clicked"),
            time(line, "unsubscribed"),
            time(line, "bought"));
    if (found == before) {
      checkOrder(line, record);
      checkFirst(line, record);
    }
    return found == before ? Optional.of(record) : Optional.empty();
  }

  /** Nothing can have become of a message before it was sent. */
  private void checkOrder(CSVRecord line, SendRecord record) {
    before(line, "delivered", record.delivered(), record.sent());
    before(line, "opened", record.opened(), record.sent());
    before(line, "clicked", record.clicked(), record.sent());
    before(line, "unsubscribed", record.unsubscribed(), record.sent());
    before(line, "bought", record.bought(), record.sent());
  }

  private void before(CSVRecord line, String column, Optional<Instant> at, Instant sent) {
    if (at.isPresent() && at.get().isBefore(sent)) {
      add(
          "before-sending",
          place(line),
          at(line)
              + "%s at %s, which is before it was sent at %s. Look at the offsets of the times."
                  .formatted(column, at.get(), sent));
    }
  }

  /** A row that stands twice would count twice. */
  private void checkFirst(CSVRecord line, SendRecord record) {
    long here = line.getRecordNumber() + 1;
    Long first = lines.putIfAbsent(List.of(record.person(), record.message(), record.sent()), here);
    if (first != null) {
      add(
          "doubled-row",
          place(line),
          at(line)
              + "this message to this person at this time stands in line %d already. Leave one of them."
                  .formatted(first));
    }
  }

  private String needed(CSVRecord line, String column) {
    String value = line.get(column).strip();
    if (value.isEmpty()) {
      add("missing-value", place(line), at(line) + "\u201c%s\u201d is empty.".formatted(column));
    }
    return value;
  }

  private Optional<Instant> time(CSVRecord line, String column) {
    String value = line.isMapped(column) ? line.get(column).strip() : "";
    if (value.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(Years.withinReason(java.time.OffsetDateTime.parse(value).toInstant()));
    } catch (DateTimeException | Refused wrong) {
      add(
          "bad-time",
          place(line),
          at(line)
              + "\u201c%s\u201d in column %s is no time such as 2027-03-14T09:00:00Z."
                  .formatted(value, column));
      return Optional.empty();
    }
  }

  private ZoneId zone(CSVRecord line) {
    String value = line.isMapped("zone") ? line.get("zone").strip() : "";
    if (value.isEmpty()) {
      return Documents.USUAL_ZONE;
    }
    try {
      return ZoneId.of(value);
    } catch (DateTimeException wrong) {
      add(
          "bad-zone",
          place(line),
          at(line) + "there is no time zone \u201c%s\u201d.".formatted(value));
      return Documents.USUAL_ZONE;
    }
  }

  private static String place(CSVRecord line) {
    return "/" + line.getRecordNumber();
  }

  private static String at(CSVRecord line) {
    return "Line %d: ".formatted(line.getRecordNumber() + 1);
  }

  private void add(String code, String place, String sentence) {
    found++;
    problems.add(code, place, sentence);
  }
}
