package org.opentrellis.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.RunSheet;

class PlanTest {
  private static final String TEXT =
      """
      date-based: Turning over
      Starts when someone joins list "Members", once per person
      # Only members.
      Send "First"
      Wait 2 days
      Branch on opened "First"
        if so:
          Tag "reader"
          # To know them.
          # Later.
        otherwise:
          Send "Second"
      Send "Third"
      Goal: bought anything within 9 days, leave when met
      """;

  @Test
  void sentencesMakeAJourneyWithMessagesAndReasons() {
    Plan plan = Plan.read(TEXT);
    assertThat(plan.purpose()).isEqualTo(Purpose.DATE_BASED);
    assertThat(plan.name()).isEqualTo("Turning over");
    assertThat(plan.messages())
        .extracting(m -> m.name())
        .containsExactly("First", "Second", "Third");
    RunSheet sheet = RunSheet.of(plan.journey(), Catalogue.of(plan.messages()));
    assertThat(
            sheet.rows().stream()
                .map(row -> " ".repeat(row.depth()) + row.sentence().text())
                .collect(Collectors.joining("\n")))
        .isEqualTo(
            """
            Send First
            Wait 2 days
            Branch on opened \u201cFirst\u201d
             if so
              Tag reader
             otherwise
              Send Second
            Send Third""");
    assertThat(plan.reasons())
        .containsEntry("journey", "Only members.")
        .containsValue("To know them. Later.")
        .hasSize(2);
    assertThat(plan.journey().goal()).isPresent();
  }

  @Test
  void whatIsNotUnderstoodIsNamedWithItsLine() {
    assertThatThrownBy(() -> Plan.read("welcome: A\nSend \"B\"\nWait for rain"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("line 3")
        .hasMessageContaining("Wait for rain");
  }
}
