package org.opentrellis.core.intake;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.NoSuchElementException;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** The rows of a table, one after another. Rows without anything in them do not count. */
public final class TableRows implements Iterator<TableRow>, AutoCloseable {
  private static final Pattern NEW_LINE = Pattern.compile("\r\n|\r|\n");

  private final CSVParser parser;
  private final Iterator<CSVRecord> records;
  private long number;
  private @Nullable TableRow next;

  public TableRows(byte[] table, TableForm form) {
    this.parser = form.open(table);
    this.records = parser.iterator();
    if (form.header() && records.hasNext()) {
      records.next();
    }
  }

  @Override
  public boolean hasNext() {
    while (next == null && records.hasNext()) {
      CSVRecord record = records.next();
      if (record.stream().anyMatch(cell -> !cell.isBlank())) {
        next = new TableRow(++number, firstLine(record), record.toList());
      }
    }
    return next != null;
  }

  /** The parser knows the line on which a row ends; cells may have lines of their own. */
  private long firstLine(CSVRecord record) {
    long within = record.stream().mapToLong(cell -> NEW_LINE.matcher(cell).results().count()).sum();
    return parser.getCurrentLineNumber() - within;
  }

  @Override
  public TableRow next() {
    if (!hasNext() || next == null) {
      throw new NoSuchElementException();
    }
    TableRow row = next;
    next = null;
    return row;
  }

  @Override
  public void close() {
    try {
      parser.close();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
