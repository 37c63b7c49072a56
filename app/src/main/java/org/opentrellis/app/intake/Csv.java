package org.opentrellis.app.intake;

import java.util.List;
import org.apache.commons.csv.CSVFormat;

/** Rows as lines of CSV (RFC 4180). */
final class Csv {
  private static final int LONGEST_WHY = 4_000;
  private static final CSVFormat FORMAT = CSVFormat.RFC4180;

  private Csv() {}

  /** Without the end of the line. */
  static String line(List<String> cells) {
    return FORMAT.format(cells.toArray());
  }

  static String cut(String why) {
    return why.length() <= LONGEST_WHY ? why : why.substring(0, LONGEST_WHY - 1) + "\u2026";
  }
}
