package org.opentrellis.core.intake;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PushbackReader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.mozilla.universalchardet.UniversalDetector;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Refused;

/**
 * How a table is written.
 *
 * @param encoding one of {@link #ENCODINGS}
 * @param delimiter one of {@link #DELIMITERS}
 * @param header whether its first row names the columns
 */
public record TableForm(String encoding, String delimiter, boolean header) {
  public static final List<String> ENCODINGS =
      List.of("UTF-8", "UTF-16LE", "UTF-16BE", "WINDOWS-1252", "ISO-8859-1", "MACROMAN");
  public static final List<String> DELIMITERS = List.of(",", ";", "\t", "|");

  private static final int ROWS_TO_LOOK_AT = 50;
  private static final char BYTE_ORDER_MARK = '\uFEFF';

  /**
   * @throws Refused for an encoding or a delimiter that is not offered
   */
  public TableForm {
    if (!ENCODINGS.contains(encoding)) {
      throw new Refused("an encoding is one of " + String.join(", ", ENCODINGS));
    }
    if (!DELIMITERS.contains(delimiter)) {
      throw new Refused("columns are parted by a comma, semicolon, tab or bar");
    }
  }

  /** What form a table seems to have. */
  public static TableForm found(byte[] table) {
    String encoding = encoding(table);
    String best =
        DELIMITERS.stream()
            .filter(delimiter -> evenColumns(table, encoding, delimiter) > 0)
            .max(
                Comparator.comparing((String delimiter) -> addresses(table, encoding, delimiter))
                    .thenComparing(delimiter -> evenColumns(table, encoding, delimiter)))
            .orElse(",");
    TableForm plain = new TableForm(encoding, best, false);
    return new TableForm(encoding, best, plain.startsWithNames(table));
  }

  private static String encoding(byte[] table) {
    UniversalDetector detector = new UniversalDetector();
    detector.handleData(table);
    detector.dataEnd();
    return Optional.ofNullable(detector.getDetectedCharset())
        .filter(ENCODINGS::contains)
        .orElse("UTF-8");
  }

  /** Into how many columns a delimiter parts most rows; none if it parts nothing. */
  private static int evenColumns(byte[] table, String encoding, String delimiter) {
    List<Integer> widths =
        new TableForm(encoding, delimiter, false)
            .firstRows(table, ROWS_TO_LOOK_AT).stream().map(List::size).sorted().toList();
    int usual = widths.isEmpty() ? 0 : widths.get(widths.size() / 2);
    long like = widths.stream().filter(width -> width == usual).count();
    return usual > 1 && like * 2 > widths.size() ? usual : 0;
  }

  /** In how many cells an address stands, and nothing else. */
  private static long addresses(byte[] table, String encoding, String delimiter) {
    return new TableForm(encoding, delimiter, false)
        .firstRows(table, ROWS_TO_LOOK_AT).stream()
            .flatMap(List::stream)
            .filter(TableForm::isAddress)
            .count();
  }

  private static boolean isAddress(String cell) {
    try {
      return !new EmailAddress(cell).value().isEmpty();
    } catch (Refused none) {
      return false;
    }
  }

  /** A first row that has an address in it names no columns. */
  private boolean startsWithNames(byte[] table) {
    return firstRows(table, 1).stream().flatMap(List::stream).noneMatch(cell -> cell.contains("@"));
  }

  /** The first rows, with the one that names the columns. */
  public List<List<String>> firstRows(byte[] table, int most) {
    try (CSVParser parser = open(table)) {
      return parser.stream().limit(most).map(CSVRecord::toList).toList();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  /** Reads on and on; what is wrong with one row spoils no other. */
  CSVParser open(byte[] table) {
    PushbackReader text =
        new PushbackReader(
            new InputStreamReader(new ByteArrayInputStream(table), Charset.forName(encoding)));
    try {
      int first = text.read();
      if (first >= 0 && first != BYTE_ORDER_MARK) {
        text.unread(first);
      }
      return CSVFormat.DEFAULT
          .builder()
          .setDelimiter(delimiter)
          .setIgnoreEmptyLines(true)
          .setLenientEof(true)
          .setTrailingData(true)
          .get()
          .parse(text);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }
}
