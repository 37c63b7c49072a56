package org.opentrellis.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.FieldType;
import org.opentrellis.core.people.Mailing;

/** A row becomes a person, or is refused with all its reasons. */
class RowReaderTest {
  private static final List<ColumnPlan> COLUMNS =
      List.of(
          ColumnPlan.of(Use.ADDRESS),
          ColumnPlan.of(Use.WHOLE_NAME),
          ColumnPlan.of(Use.PHONE),
          ColumnPlan.of(Use.ZONE),
          ColumnPlan.of(Use.MAILING),
          ColumnPlan.of(Use.LISTS),
          ColumnPlan.of(Use.TAGS),
          new ColumnPlan(Use.FIELD, "since", FieldType.DATE, DateOrder.DAY_FIRST, null),
          new ColumnPlan(Use.FIELD, "weight", FieldType.NUMBER, null, DecimalMark.COMMA),
          new ColumnPlan(Use.FIELD, "keeper", FieldType.YES_NO, null, null),
          new ColumnPlan(Use.FIELD, "kind", FieldType.ONE_OF, null, null),
          ColumnPlan.of(Use.LEFT_OUT));
  private static final List<String> RIGHT =
      List.of(
          "Mira.T@example.com",
          "Mira Maria Tolland",
          "21 23 45 67",
          "Europe/Oslo",
          "Subscribed",
          "Newcomers; \"Course; spring\"",
          "market",
          "02.05.2027",
          "1.234,5",
          "ja",
          "CARNICA",
          "anything \u0000");

  private final RowReader reader =
      new RowReader(new TablePlan(COLUMNS, "NO", Map.of("kind", List.of("Carnica", "Buckfast"))));

  @Test
  void everyKindOfColumnIsRead() {
    Incoming mira = reader.read(new TableRow(1, 2, RIGHT)).person();
    assertThat(mira)
        .isEqualTo(
            new Incoming(
                2,
                "Mira.T@example.com",
                "Mira Maria",
                "Tolland",
                "+4721234567",
                "Europe/Oslo",
                Mailing.MAY_BE_MAILED,
                List.of(
                    new ListName("Newcomers"),
                    new ListName("Course; spring"),
                    new TagName("market")),
                Map.of(
                    new FieldName("since"), new Operand.Date(LocalDate.of(2027, 5, 2)),
                    new FieldName("weight"), new Operand.Number(1234.5),
                    new FieldName("keeper"), new Operand.Words("yes"),
                    new FieldName("kind"), new Operand.Words("Carnica"))));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "0~''~There is no address.",
        "0~mira~Address \u201cmira\u201d: an address has an @ between name and domain.",
        "2~12~Phone \u201c12\u201d: this is no number of its country: it has too few digits or too many.",
        "3~Oslo~Time zone \u201cOslo\u201d: a time zone is written like Europe/Berlin.",
        "4~perhaps~Email state \u201cperhaps\u201d: it is one of may be mailed, not confirmed, unsubscribed, bounced, complained.",
        "7~31.02.2027~Field since \u201c31.02.2027\u201d: this is no date in the order day, month, year, with a year of four digits.",
        "7~02.05.27~Field since \u201c02.05.27\u201d: this is no date in the order day, month, year, with a year of four digits.",
        "8~many~Field weight \u201cmany\u201d: this is no number.",
        "8~1.5~Field weight \u201c1.5\u201d: this is no number.",
        "9~perhaps~Field keeper \u201cperhaps\u201d: this is neither yes nor no.",
        "10~Ligustica~Field kind \u201cLigustica\u201d: it is one of Carnica, Buckfast, not \u201cLigustica\u201d.",
        "1~Mir\uFFFD~Name \u201cMir\uFFFD\u201d: it has letters that the encoding does not have; try another encoding.",
      })
  void whatIsWrongIsSaid(int column, String cell, String why) {
    String[] cells = RIGHT.toArray(String[]::new);
    cells[column] = cell;
    RowReader.Read read = reader.read(new TableRow(1, 2, Arrays.asList(cells)));
    assertThat(read.person()).isNull();
    assertThat(read.wrong()).containsExactly(why);
  }

  @Test
  void allThatIsWrongIsSaidAtOnce() {
    List<String> cells = List.of("mira", "Mira", "12", "Oslo");
    assertThat(reader.read(new TableRow(1, 2, cells)).wrong()).hasSize(3);
  }

  /** A row that stops early says nothing of the rest; one that goes on cannot be placed. */
  @Test
  void rowsMayBeShorterButNotLonger() {
    assertThat(reader.read(new TableRow(1, 2, List.of("a@example.com"))).person()).isNotNull();
    List<String> longer = new java.util.ArrayList<>(RIGHT);
    longer.add("more");
    assertThat(reader.read(new TableRow(2, 3, longer)).wrong())
        .containsExactly("The row has 13 values, but there are 12 columns.");
  }

  @Test
  void anAddressStandsInATableOnce() {
    assertThat(reader.read(new TableRow(1, 2, List.of("a@example.com"))).person()).isNotNull();
    assertThat(reader.read(new TableRow(2, 3, List.of("A@Example.com"))).wrong())
        .containsExactly("Line 2 has the same address.");
  }

  @Test
  void aQuotationMarkThatIsNotClosedIsTold() {
    String swallowed = "x".repeat(5_000);
    assertThat(reader.read(new TableRow(1, 2, List.of("a@example.com", swallowed))).wrong())
        .singleElement()
        .asString()
        .contains("perhaps a quotation mark before it is not closed");
  }
}
