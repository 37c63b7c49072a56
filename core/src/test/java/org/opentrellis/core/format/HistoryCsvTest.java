package org.opentrellis.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;

/** What happened, from CSV. */
class HistoryCsvTest {
  private static final String HEADER =
      "person,message,sent,delivered,opened,clicked,unsubscribed,bought,zone\r\n";

  private static List<SendRecord> read(String text) {
    return HistoryCsv.read(new StringReader(text));
  }

  private static List<Problem> problems(String text) {
    return catchThrowableOfType(ProblemsFound.class, () -> read(text)).problems();
  }

  @Test
  void readsTimesAndWhatDidNotHappen() {
    var records =
        read(
            HEADER
                + "ada,planner,2027-03-14T09:00:00Z,2027-03-14T09:00:02Z,2027-03-14T12:00:00+01:00,,,,America/New_York\r\n"
                + "\"bo, the \"\"younger\"\"\",planner,2027-03-14T09:00:00Z,,,,,,\r\n");
    assertThat(records).hasSize(2);
    assertThat(records.get(0).opened()).contains(Instant.parse("2027-03-14T11:00:00Z"));
    assertThat(records.get(0).zone()).isEqualTo(ZoneId.of("America/New_York"));
    assertThat(records.get(1).person()).isEqualTo("bo, the \"younger\"");
    assertThat(records.get(1).delivered()).isEmpty();
  }

  @Test
  void withoutAColumnForItEverythingIsDelivered() {
    var records = read("person,message,sent\nada,planner,2027-03-14T09:00:00Z\n");
    assertThat(records.get(0).delivered()).contains(Instant.parse("2027-03-14T09:00:00Z"));
  }

  @Test
  void eachProblemNamesItsLine() {
    var problems =
        problems(
            HEADER
                + "ada,planner,yesterday,,,,,,\r\n"
                + ",planner,2027-03-14T09:00:00Z,,,,,,Nowhere/Else\r\n"
                + "bo,planner\r\n");
    assertThat(problems)
        .extracting(Problem::sentence)
        .containsExactly(
            "Line 2: \u201cyesterday\u201d in column sent is no time such as 2027-03-14T09:00:00Z.",
            "Line 3: \u201cperson\u201d is empty.",
            "Line 3: there is no time zone \u201cNowhere/Else\u201d.",
            "Line 4: there are 2 values, which is not as many as columns.");
  }

  @Test
  void whatIsTooEarlyAndWhatStandsTwiceIsSaidWithItsLine() {
    String row = "ada,planner,2027-03-14T09:00:00Z,";
    assertThat(
            problems(
                HEADER
                    + row
                    + ",2027-03-14T08:59:59Z,,,,\r\n"
                    + row
                    + ",,,,,\r\n"
                    + row
                    + ",,,,,\r\n"))
        .extracting(Problem::sentence)
        .containsExactly(
            "Line 2: opened at 2027-03-14T08:59:59Z, which is before it was sent at 2027-03-14T09:00:00Z. Look at the offsets of the times.",
            "Line 3: this message to this person at this time stands in line 2 already. Leave one of them.",
            "Line 4: this message to this person at this time stands in line 2 already. Leave one of them.");
  }

  @Test
  void brokenCsvIsSaidInASentenceWithItsLine() {
    assertThat(problems(HEADER + "ada,planner,2027-03-14T09:00:00Z,,,,,,\r\nbo,\"pla\"nner,x\r\n"))
        .extracting(Problem::sentence)
        .containsExactly(
            "Line 3: this is no CSV from here on. Quotation marks must enclose whole values, and each that begins must end.");
    assertThat(problems("person,person,sent\r\n"))
        .extracting(Problem::sentence)
        .allMatch(sentence -> sentence.startsWith("Line 1: this is no header of a CSV."));
  }

  @Test
  void aTableOfVeryManyColumnsIsNotReadAtAll() {
    String header = "person,message,sent" + ",x".repeat(198);
    assertThat(problems(header + "\r\n"))
        .extracting(Problem::sentence)
        .containsExactly("Line 1: there are 201 columns; at most 200 are read.");
  }

  @Test
  void aYearBeyondReasonIsNoTime() {
    assertThat(problems("person,message,sent\nada,planner,+999999999-01-01T00:00:00Z\n"))
        .extracting(Problem::code)
        .containsExactly("bad-time");
  }

  @Test
  void columnsMustBeKnownAndThere() {
    assertThat(problems("person,sent,colour\na,b,c\n"))
        .extracting(Problem::code)
        .containsExactly("missing-column", "unknown-column");
    assertThat(problems("")).isNotEmpty();
    assertThat(problems("person,message,sent\n\"broken")).isNotEmpty();
  }

  @Test
  void emptyLinesBeforeTheHeaderAreNoEmptyFile() {
    assertThat(read("\r\n\nperson,message,sent\nada,planner,2027-03-14T09:00:00Z\n")).hasSize(1);
    for (String empty : List.of("", " \n", "\r\n\r\n")) {
      assertThat(problems(empty))
          .extracting(Problem::sentence)
          .containsExactly("The file is empty.");
    }
  }

  /** What breaks off on the way is no fault of the file. */
  @Test
  void aTextThatBreaksOffIsNotTakenForABadOne() {
    String begun =
        HEADER
            + IntStream.range(0, 3_000)
                .mapToObj("p%d,planner,2027-03-14T09:00:00Z,,,,,,\r\n"::formatted)
                .collect(Collectors.joining());
    Reader breaking =
        new Reader() {
          private final StringReader text = new StringReader(begun);

          @Override
          public int read(char[] into, int offset, int length) throws IOException {
            int read = text.read(into, offset, length);
            if (read < 0) {
              throw new IOException("the line is dead");
            }
            return read;
          }

          @Override
          public void close() {}
        };
    assertThatThrownBy(() -> HistoryCsv.read(breaking))
        .isInstanceOf(UncheckedIOException.class)
        .hasMessageContaining("the line is dead");
  }
}
