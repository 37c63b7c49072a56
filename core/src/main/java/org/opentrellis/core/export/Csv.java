package org.opentrellis.core.export;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.intake.Formulas;

/** A table as CSV (RFC 4180) with a header; an absent value is an empty field. */
final class Csv {
  private final StringWriter text = new StringWriter();
  private final CSVPrinter printer;

  Csv(String... header) {
    try {
      printer = new CSVPrinter(text, CSVFormat.RFC4180.builder().setHeader(header).get());
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  Csv line(@Nullable Object... values) {
    Object[] safe = new Object[values.length];
    for (int i = 0; i < values.length; i++) {
      safe[i] =
          values[i] == null ? "" : values[i] instanceof String s ? Formulas.guarded(s) : values[i];
    }
    try {
      printer.printRecord(safe);
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return this;
  }

  @Override
  public String toString() {
    return text.toString();
  }
}
