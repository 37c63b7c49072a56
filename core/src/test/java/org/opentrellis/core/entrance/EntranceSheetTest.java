package org.opentrellis.core.entrance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Refused;

/** What is read aloud, what is found, and what comes back from its document. */
class EntranceSheetTest {
  private static final FormName PLANNER = new FormName("Planner on the website");

  private static Entrance planner() {
    return new Entrance(
        PLANNER,
        "The hive planner",
        List.of(
            new Asked.FirstName(true),
            new Asked.Field(new FieldName("hives"), "How many hives do you keep?", false)),
        "Send me the planner",
        "Ambercomb sends me news by email, once or twice a month.",
        true,
        List.of(new ListName("Newcomers")),
        List.of(new TagName("market")),
        new Then.Words("Look into your mailbox."));
  }

  private static Entrance with(Entrance of, List<Asked> asks, Then then) {
    return new Entrance(
        of.name(),
        of.title(),
        asks,
        of.button(),
        of.agreement(),
        of.confirms(),
        of.lists(),
        of.tags(),
        then);
  }

  private static List<String> codes(Entrance entrance, boolean starts) {
    return EntranceChecks.of(entrance, starts).stream().map(EntranceFinding::code).toList();
  }

  @Test
  void aFormIsReadAloud() {
    assertThat(EntranceSheet.of(planner()))
        .containsExactly(
            "Asks for the address, first name and field hives (if they like).",
            "They agree: \u201cAmbercomb sends me news by email, once or twice a month.\u201d",
            "They confirm by email before anything else happens.",
            "Puts them on list Newcomers and tags them market.",
            "Then shows: \u201cLook into your mailbox.\u201d");
  }

  @Test
  void itsDocumentLeadsBackToIt() {
    for (Entrance one : List.of(planner(), Entrance.begun(PLANNER))) {
      assertThat(Documents.readEntrance(Documents.write(one))).isEqualTo(one);
    }
  }

  @Test
  void whoeverBeginsIsToldWhatIsMissing() {
    assertThat(codes(Entrance.begun(PLANNER), false))
        .containsExactly("no-agreement", "leads-nowhere");
    assertThat(codes(Entrance.begun(PLANNER), true)).containsExactly("no-agreement");
    assertThat(codes(planner(), false)).isEmpty();
  }

  @Test
  void whatLeavesPeopleWithNothingIsFound() {
    Entrance wrong =
        with(planner(), List.of(new Asked.Texts(" ")), new Then.Address("javascript:alert(1)"));
    assertThat(codes(wrong, true))
        .containsExactly("leads-wrong", "texts-without-words", "texts-without-phone");
    assertThat(codes(with(planner(), List.of(), new Then.Words(" ")), true))
        .containsExactly("nothing-then");
  }

  @Test
  void nothingIsAskedTwice() {
    List<Asked> twice = List.of(new Asked.Phone(true), new Asked.Phone(false));
    Then then = planner().then();
    assertThatThrownBy(() -> with(planner(), twice, then))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("the same thing twice");
  }
}
