package org.opentrellis.core.entrance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Refused;

/** What is read aloud, what is found, and what comes back from its document. */
class EntranceSheetTest {
  private static final FormName PLANNER = new FormName("Planner on the website");
  private static final ListName NEWCOMERS = new ListName("Newcomers");
  private static final MessageId PAGE = new MessageId("thanks");
  private static final EntranceChecks.Started QUIET =
      new EntranceChecks.Started("First frames", PLANNER, false);

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
        List.of(NEWCOMERS),
        List.of(new TagName("market")),
        new Then.Words("Look into your mailbox."),
        Optional.empty(),
        Optional.of(new FileName("planner.pdf")),
        Optional.of("Mira"));
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
        then,
        of.above(),
        of.handsOut(),
        of.tells());
  }

  /** An account with one file, one message and some journeys. */
  private record Account(List<EntranceChecks.Started> all) implements EntranceChecks.Surroundings {
    @Override
    public List<EntranceChecks.Started> started(Entrance entrance) {
      return all;
    }

    @Override
    public Optional<String> fault(MessageId page) {
      return page.equals(PAGE) ? Optional.empty() : Optional.of("is not there any more");
    }

    @Override
    public boolean isKept(FileName file) {
      return file.value().equals("planner.pdf");
    }
  }

  private static List<EntranceFinding> found(Entrance entrance, EntranceChecks.Started... all) {
    return EntranceChecks.of(entrance, new Account(List.of(all)));
  }

  private static List<String> codes(Entrance entrance, EntranceChecks.Started... all) {
    return found(entrance, all).stream().map(EntranceFinding::code).toList();
  }

  private static EntranceChecks.Started starts(String journey, Name by) {
    return new EntranceChecks.Started(journey, by, true);
  }

  @Test
  void aFormIsReadAloud() {
    assertThat(EntranceSheet.of(planner(), MessageId::value))
        .containsExactly(
            "Asks for the address, first name and field hives (if they like).",
            "They agree: \u201cAmbercomb sends me news by email, once or twice a month.\u201d",
            "They confirm by email before anything else happens.",
            "Puts them on list Newcomers and tags them market.",
            "Then shows: \u201cLook into your mailbox.\u201d",
            "Whoever is in may fetch planner.pdf.",
            "Tells Mira of each who comes in.");
  }

  @Test
  void itsDocumentLeadsBackToIt() {
    for (Entrance one : List.of(planner(), Entrance.begun(PLANNER))) {
      assertThat(Documents.readEntrance(Documents.write(one))).isEqualTo(one);
    }
  }

  @Test
  void whoeverBeginsIsToldWhatIsMissing() {
    assertThat(codes(Entrance.begun(PLANNER))).containsExactly("no-agreement", "leads-nowhere");
    assertThat(codes(Entrance.begun(PLANNER), QUIET)).containsExactly("no-agreement");
    assertThat(codes(planner())).isEmpty();
  }

  @Test
  void whatLeavesPeopleWithNothingIsFound() {
    Entrance wrong =
        with(planner(), List.of(new Asked.Texts(" ")), new Then.Address("javascript:alert(1)"));
    assertThat(codes(wrong))
        .containsExactly("leads-wrong", "texts-without-words", "texts-without-phone");
    assertThat(codes(with(planner(), List.of(), new Then.Words(" "))))
        .containsExactly("nothing-then");
  }

  /** The last list or tag that brings a second welcome goes with one key. */
  @Test
  void whoIsWelcomedTwiceIsFoundAndMended() {
    List<EntranceFinding> twice =
        found(planner(), starts("First frames", PLANNER), starts("Season", NEWCOMERS), QUIET);
    assertThat(twice).hasSize(1);
    assertThat(twice.getFirst().sentence())
        .isEqualTo(
            "Whoever signs up is welcomed twice within the first hour: \u201cFirst frames\u201d"
                + " starts by this form, and \u201cSeason\u201d starts by list Newcomers.");
    EntranceFinding.Mend mend = twice.getFirst().mend().orElseThrow();
    assertThat(mend.words()).isEqualTo("Leave out list Newcomers");
    assertThat(mend.entrance().lists()).isEmpty();
    assertThat(mend.entrance().tags()).isEqualTo(planner().tags());
    assertThat(codes(planner(), starts("First frames", PLANNER), QUIET)).isEmpty();
    assertThat(found(planner(), starts("A", PLANNER), starts("B", PLANNER)).getFirst().mend())
        .as("both by the form itself")
        .isEmpty();
  }

  @Test
  void whatAPageShowsIsThere() {
    Entrance page = with(planner(), planner().asks(), new Then.Page(PAGE));
    assertThat(codes(page)).isEmpty();
    assertThat(Documents.readEntrance(Documents.write(page))).isEqualTo(page);
    assertThat(codes(with(planner(), List.of(), new Then.Page(new MessageId("gone")))))
        .containsExactly("no-page");
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
