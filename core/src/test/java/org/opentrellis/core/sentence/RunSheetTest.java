package org.opentrellis.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGE;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.untilNine;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;

/** The journey can be read aloud. */
class RunSheetTest {
  private static List<String> lines(Journey journey) {
    return RunSheet.of(journey, MESSAGES).rows().stream()
        .map(
            row ->
                "  ".repeat(row.depth())
                    + (row.label() == null ? "" : row.label() + ": ")
                    + row.sentence().text())
        .toList();
  }

  @Test
  void stepsAndArmsAreSentences() {
    Step again = new Step.SendEmail(id("again"), MESSAGE, Optional.of("Once more"));
    Journey journey =
        journey(
            send("a"),
            pause("w", 2, TimeUnit.DAYS),
            untilNine("n"),
            branch(
                "b",
                opened("a"),
                Amount.of(1, TimeUnit.DAYS),
                List.of(),
                List.of(again, finish("f"))));
    assertThat(lines(journey))
        .containsExactly(
            "Send Hello",
            "Wait 2 days",
            "Wait until 09:00 their time",
            "Branch on opened \u201cHello\u201d, waiting up to 1 day",
            "  A: if so: goes on below",
            "  B: otherwise",
            "    B: Send Hello, new subject",
            "    B: Finish the journey");
  }

  @Test
  void theOpeningSaysWhoComesInAndWhatFor() {
    assertThat(RunSheet.of(journey(send("a")), MESSAGES).opening().text())
        .isEqualTo(
            "Starts when someone joins list Newcomers, once per person \u00b7 "
                + "goal bought within 30 days, leave when met");
    assertThat(RunSheet.of(journey(Optional.empty(), send("a")), MESSAGES).opening().text())
        .endsWith("no goal yet");
  }

  @Test
  void conditionsNestAndNegate() {
    Sentences sentences = new Sentences(journey(send("a")), MESSAGES);
    Condition tagged = new Condition.HasTag(new TagName("x"));
    Condition listed = new Condition.OnList(new ListName("L"));
    Condition clicked = new Condition.Clicked(id("a"), Optional.of(new LinkName("Kits")));
    assertThat(
            sentences
                .condition(
                    new Condition.All(List.of(clicked, new Condition.Any(List.of(tagged, listed)))))
                .text())
        .isEqualTo(
            "clicked \u201cKits\u201d in \u201cHello\u201d and (have tag x or are on list L)");
    assertThat(sentences.condition(new Condition.None(List.of(listed))).text())
        .isEqualTo("are not on list L");
    assertThat(sentences.condition(new Condition.None(List.of(tagged, listed))).text())
        .isEqualTo("neither have tag x nor are on list L");
    assertThat(sentences.condition(opened("gone")).text())
        .isEqualTo("opened \u201ca missing email\u201d");
  }

  @Test
  void changesSetOffWhatTheUserChose() {
    Step change =
        new Step.Change(
            id("c"),
            List.of(
                new RecordChange.AddTag(new TagName("x")),
                new RecordChange.MoveToList(new ListName("New"), List.of(new ListName("Old"))),
                new RecordChange.CopyToList(new ListName("Both"))));
    Phrase phrase = new Sentences(journey(change), MESSAGES).step(change);
    assertThat(phrase.text())
        .isEqualTo("Tag x, move from list Old to New, copy to list Both, staying on others");
    assertThat(phrase.spans().stream().filter(Span::strong).map(Span::text))
        .containsExactly("x", "Old", "New", "Both");
  }

  @Test
  void thePictureGetsAWordOrTwo() {
    Step branch = branch("b", opened("a"), null, List.of(), List.of());
    Sentences sentences = new Sentences(journey(send("a"), branch), MESSAGES);
    assertThat(sentences.brief(branch)).isEqualTo("opened?");
    assertThat(sentences.brief(send("a"))).isEqualTo("Hello");
    assertThat(sentences.brief(finish("f"))).isEqualTo("finish");
  }
}
