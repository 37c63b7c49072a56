package org.opentrellis.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables as several programs of several countries write them. */
class TableFormTest {
  private static final String TABLE =
      """
      email;first name;town
      s\u00f8ren@example.org;S\u00f8ren;\u00c5lesund
      gr\u00fcn@example.com;J\u00fcrgen;M\u00fcnchen
      """;

  private static byte[] bytes(String text, String encoding, boolean mark) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    bytes.writeBytes(((mark ? "\uFEFF" : "") + text).getBytes(Charset.forName(encoding)));
    return bytes.toByteArray();
  }

  @ParameterizedTest
  @CsvSource({
    "UTF-8, false, UTF-8",
    "UTF-8, true, UTF-8",
    "UTF-16LE, true, UTF-16LE",
    "UTF-16BE, true, UTF-16BE",
    "WINDOWS-1252, false, WINDOWS-1252",
  })
  void theEncodingIsFound(String written, boolean mark, String found) {
    byte[] table = bytes(TABLE, written, mark);
    TableForm form = TableForm.found(table);
    assertThat(form.encoding()).isEqualTo(found);
    assertThat(form.firstRows(table, 9))
        .containsExactly(
            List.of("email", "first name", "town"),
            List.of("s\u00f8ren@example.org", "S\u00f8ren", "\u00c5lesund"),
            List.of("gr\u00fcn@example.com", "J\u00fcrgen", "M\u00fcnchen"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "email,name\\na@example.com,A~,~true",
        "email;name, town\\na@example.com;A, B~;~true",
        "email\\tname\\na@example.com\\tA~\\t~true",
        "email|name\\na@example.com|A~|~true",
        "a@example.com,A\\nb@example.com,B~,~false",
        "a@example.com\\nb@example.com~,~false",
        "email\\na@example.com~,~true",
      })
  void theDelimiterAndTheNamesOfColumnsAreFound(String text, String delimiter, boolean header) {
    TableForm form =
        TableForm.found(
            text.replace("\\n", "\n").replace("\\t", "\t").getBytes(StandardCharsets.UTF_8));
    assertThat(form.delimiter()).isEqualTo(delimiter.replace("\\t", "\t"));
    assertThat(form.header()).isEqualTo(header);
  }

  private static List<TableRow> rows(String text) {
    List<TableRow> rows = new ArrayList<>();
    try (TableRows all =
        new TableRows(text.getBytes(StandardCharsets.UTF_8), new TableForm("UTF-8", ",", true))) {
      all.forEachRemaining(rows::add);
    }
    return rows;
  }

  /** RFC 4180, section 2, points 5 to 7: line ends, commas and quotes within quotes. */
  @Test
  void quotedCellsHaveWhatTheyHave() {
    List<TableRow> rows =
        rows("email,note\r\na@example.com,\"two\r\nlines, and \"\"quotes\"\"\"\r\nb@example.com,x");
    assertThat(rows).hasSize(2);
    assertThat(rows.get(0).cells().get(1)).isEqualTo("two\r\nlines, and \"quotes\"");
    assertThat(rows.get(0).line()).isEqualTo(2);
    assertThat(rows.get(1).line()).isEqualTo(4);
  }

  @Test
  void emptyRowsDoNotCountAndLinesAreThoseOfTheFile() {
    List<TableRow> rows = rows("email,note\n\n , \na@example.com,\n\nb@example.com,\n");
    assertThat(rows).extracting(TableRow::number).containsExactly(1L, 2L);
    assertThat(rows).extracting(TableRow::line).containsExactly(4L, 6L);
  }

  /** A quotation mark that is never closed takes what follows with it, and nothing fails. */
  @Test
  void anOpenQuotationMarkFailsNothing() {
    assertThat(rows("email,note\na@example.com,\"open\nb@example.com,x\n")).hasSize(1);
    assertThat(rows("email,note\na@example.com,\"quoted\" and more\nb@example.com,x\n")).hasSize(2);
  }
}
