package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeout;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.Markdown;

/** Plans that are pasted: as lists, over several lines, as run sheets that were written out. */
class PastedTest {
  private static final String PLAN =
      """
      Starts when someone joins list "Members"
      Send "First"
      Wait 2 days
      If they opened "First"
        Tag "reader"
        If they clicked any link in "First"
          Tag "keen"
      Otherwise
        Send "Second"
      Wait 1 day
      Send "Third"
      """;

  private static Reading.Understood read(String text, Catalogue catalogue) {
    Reading.Result result = heard(text, catalogue);
    while (result instanceof Reading.Refused asked && asked.asks()) {
      result = heard(asked.offers().get(0).text(), catalogue);
    }
    assertThat(result).as(text).isInstanceOf(Reading.Understood.class);
    return (Reading.Understood) result;
  }

  private static Reading.Result heard(String text, Catalogue catalogue) {
    Journey journey = Journey.empty("Pasted", Purpose.OTHER);
    KnownNames known = KnownNames.in(List.of(catalogue));
    return new Reader(journey, catalogue, List.of(), known, LocalDate.of(2026, 11, 29))
        .add("end", text, text.length())
        .result();
  }

  private static String sheet(Reading.Understood read) {
    return Markdown.of(read.journey(), Catalogue.of(read.written())).replaceAll(" `[^`]*`", "");
  }

  @Test
  void aLineFurtherLeftGoesOnBelowWhatStandsThere() {
    assertThat(sheet(read(PLAN, Catalogue.EMPTY)))
        .contains(
            """
            - Send **First**
            - Wait **2 days**
            - Branch on opened **\u201cFirst\u201d**
              - *arm A*: if so
                - Tag **reader**
                - Branch on clicked **\u201cFirst\u201d**
                  - *arm A.a*: if so
                    - Tag **keen**
                  - *arm A.b*: otherwise: straight on to what follows
              - *arm B*: otherwise
                - Send **Second**
            - Wait **1 day**
            - Send **Third**
            """);
  }

  static Stream<String> lists() {
    return Stream.of(
        "1. Send \"One\"\n2. Wait 2 days\n3. Send \"Two\"",
        "1) Send \"One\"\r\n2) Wait 2 days\r\n3) Send \"Two\"\r\n",
        "- Send \"One\"\n- Wait 2 days\n- Send \"Two\"",
        "\u2022 Send \"One\"\n\n\u2022 Wait 2 days\n\n\u2022 Send \"Two\"\n",
        "Send \"One\". Wait 2 days. Send \"Two\".",
        "Send \"One\"; wait 2 days; send \"Two\"",
        "Send\n\"One\"\nWait 2\ndays\nSend \"Two\"",
        "\tSend \"One\"\n\tWait 2 days\n\tSend \"Two\"",
        "Send \"One\", then wait\n2 days and then send\n\"Two\"");
  }

  @ParameterizedTest
  @MethodSource("lists")
  void howItIsWrittenDownDoesNotMatter(String text) {
    assertThat(sheet(read(text, Catalogue.EMPTY)))
        .contains("- Send **One**\n- Wait **2 days**\n- Send **Two**\n");
  }

  /** All but those with subjects of their own, which a sheet does not tell: they are asked for. */
  static Stream<TypedPlan> plansThatSheetsTell() {
    return TypedPlan.all().stream().filter(plan -> !plan.sheet().contains("new subject"));
  }

  /** The run sheet of a plan, written out, is read back as that plan. */
  @ParameterizedTest
  @MethodSource("plansThatSheetsTell")
  void aRunSheetThatWasWrittenOutIsReadBack(TypedPlan plan) {
    Reading.Understood first = read(String.join("\n", plan.lines()), Catalogue.EMPTY);
    Catalogue catalogue = Catalogue.of(first.written());
    String sheet = Markdown.of(first.journey(), catalogue);
    Reading.Understood again = read(sheet, catalogue);
    assertThat(Markdown.of(again.journey(), catalogue).replaceAll(" `[^`]*`", ""))
        .isEqualTo(sheet.replaceAll(" `[^`]*`", ""));
  }

  /** An answer changes what it is about, and loses nothing around it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "finish if they bought anything|If they bought anything, finish",
        "when they open \"One\"|If they open \"One\" within 2 days",
        "wait until they open \"One\"|wait until they open \"One\", at most 2 days",
        "send \"Call us\"|text \u201cCall us\u201d",
        "move to list B|add to list \u201cB\u201d",
      })
  void anAnswerLosesNothingAroundIt(String asked, String answered) {
    String before = "Send \"One\"\n";
    String after = "\nWait 1 day";
    Catalogue catalogue = Catalogue.of(List.of(Message.text("call", "Call us", "Call us")));
    Reading.Refused refused = (Reading.Refused) heard(before + asked + after, catalogue);
    assertThat(refused.offers().get(0).text()).isEqualTo(before + answered + after);
  }

  /** However long or deep a text is, it is answered. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "(",
        "if they opened \"One\" ",
        "neither ",
        "not (",
        "send \"One\" ",
        "a",
        "once, ",
        "1. "
      })
  void aTextWithoutEndIsAnswered(String piece) {
    assertTimeout(
        Duration.ofSeconds(20),
        () -> heard("if " + piece.repeat(20_000 / piece.length()), Catalogue.EMPTY));
    assertTimeout(
        Duration.ofSeconds(20),
        () -> heard(piece.repeat(20_000 / piece.length()), Catalogue.EMPTY));
  }

  /** Names may hold what means something elsewhere. */
  @Test
  void aFieldMayBeCalledAnything() {
    for (String name : List.of("a\\", "C:\\x", "(", "[a", "x|y", "what?", "$", "\u201cq")) {
      KnownNames known = KnownNames.in(List.of(new FieldName(name)));
      Journey journey = Journey.empty("Pasted", Purpose.OTHER);
      String text = "if their city is \"x\", finish";
      assertThat(
              new Reader(journey, Catalogue.EMPTY, List.of(), known, LocalDate.of(2026, 11, 29))
                  .add("end", text, text.length())
                  .result())
          .as(name)
          .isInstanceOf(Reading.Understood.class);
    }
  }

  /** A mistake in the third line is told there. */
  @Test
  void whatIsWrongInALongTextIsToldAtItsPlace() {
    String text = "Send \"One\"\nWait 2 days\nSned \"Two\"\nWait 1 day";
    Reading.Refused refused = (Reading.Refused) heard(text, Catalogue.EMPTY);
    assertThat(text.substring(refused.from(), refused.to())).isEqualTo("Sned");
    assertThat(refused.offers().get(0).text())
        .isEqualTo("Send \"One\"\nWait 2 days\nsend \"Two\"\nWait 1 day");
  }
}
