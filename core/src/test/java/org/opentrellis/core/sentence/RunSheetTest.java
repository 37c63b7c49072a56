package org.opentrellis.core.sentence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.MESSAGE;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.of;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.untilNine;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.testing.RandomJourneys;

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
    Step again = send("again").edit().subject(Optional.of("Once more")).done();
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
            "  A: if so: straight on to what follows",
            "  B: otherwise",
            "    B: Send Hello, new subject",
            "    B: Finish the journey");
  }

  @Test
  void theOpeningSaysWhoComesInAndWhatFor() {
    RunSheet sheet = RunSheet.of(journey(send("a")), MESSAGES);
    assertThat(sheet.opening().sentence().text())
        .isEqualTo("Starts when someone joins list Newcomers, once per person");
    assertThat(sheet.goal().sentence().text())
        .isEqualTo("Goal: bought anything within 30 days, leave when met");
    assertThat(RunSheet.of(journey(Optional.empty(), send("a")), MESSAGES).goal().sentence().text())
        .isEqualTo("No goal yet");
  }

  @Test
  void conditionsNestAndNegate() {
    Sentences sentences = new Sentences(journey(send("a")), MESSAGES);
    Condition tagged = new Condition.HasTag(new TagName("x"));
    Condition listed = new Condition.OnList(new ListName("L"));
    Condition clicked =
        new Condition.Clicked(of("a"), Optional.of(new LinkName("Kits")), Optional.empty());
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
        .isEqualTo("opened the missing email \u201cgone\u201d");
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

  /** Everything in the language can be said, and no two steps that differ are said alike. */
  @Test
  void theWholeLanguageIsSaid() {
    for (long seed = 0; seed < 300; seed++) {
      Journey journey = RandomJourneys.journey(seed, 30);
      RunSheet sheet = RunSheet.of(journey, RandomJourneys.CATALOGUE);
      assertThat(sheet.rows()).hasSizeGreaterThanOrEqualTo(30);
      for (RunSheet.Row row : sheet.rows()) {
        assertThat(row.sentence().text()).isNotBlank().doesNotContain("[", "null", "Optional");
        assertThat(row.brief()).isNotBlank();
      }
      assertThat(sheet.opening().sentence().text()).doesNotContain("[", "null", "Optional");
    }
  }

  @Test
  void waitsOfEveryKind() {
    assertThat(
            lines(
                journey(
                    waits(
                        "a",
                        new WaitRule.UntilDay(
                            3, Optional.of(LocalTime.of(9, 0)), new IfPast.GoOn())),
                    waits(
                        "b",
                        new WaitRule.UntilDate(
                            LocalDate.of(2027, 3, 14), LocalTime.of(8, 0), new IfPast.End())),
                    waits(
                        "c",
                        new WaitRule.AroundDate(
                            new FieldName("renewal"),
                            -7,
                            LocalTime.of(9, 0),
                            true,
                            false,
                            new IfPast.SkipTo(id("e")))),
                    waits("d", new WaitRule.UntilHappens(hasTag("x"), Amount.of(2, TimeUnit.DAYS))),
                    finish("e"))))
        .containsExactly(
            "Wait until day 3, 09:00 of the journey",
            "Wait until 2027-03-14 08:00, or finish if that is past",
            "Wait until 7 days before renewal, 09:00, every year, or skip to \u201ce\u201d if that is past",
            "Wait until they have tag x, at most 2 days",
            "Finish the journey");
  }

  @Test
  void theMarkdownIsOneLineForEachSentence() {
    Journey journey =
        journey(send("a"), branch("b", opened("a"), null, List.of(tag("t", "x_y")), List.of()));
    assertThat(Markdown.of(journey, MESSAGES))
        .isEqualTo(
            """
            # A test

            Purpose: welcome

            Starts when someone joins list **Newcomers**, **once per person**

            ## Run sheet

            - Send **Hello** `a`
            - Branch on opened **“Hello”** `b`
              - *arm A*: if so `b-a`
                - Tag **x\\_y** `t`
              - *arm B*: otherwise: straight on to what follows `b-else`

            Goal: bought **anything** within **30 days**, leave when met
            """);
  }

  /** CommonMark, section 6.2: bold words begin and end without a space, and do not touch others. */
  @Test
  void boldWordsAreBoldForEveryReaderOfMarkdown() {
    for (long seed = 0; seed < 100; seed++) {
      RunSheet sheet = RunSheet.of(RandomJourneys.journey(seed, 20), RandomJourneys.CATALOGUE);
      List<Phrase> said = new ArrayList<>(List.of(sheet.opening().sentence()));
      sheet.rules().forEach(rule -> said.add(rule.sentence()));
      sheet.rows().forEach(row -> said.add(row.sentence()));
      for (Phrase phrase : said) {
        boolean before = false;
        for (Span span : phrase.spans()) {
          assertThat(before && span.strong()).as(phrase.text()).isFalse();
          assertThat(!span.strong() || span.text().equals(span.text().strip()))
              .as(phrase.text())
              .isTrue();
          before = span.strong();
        }
      }
    }
  }

  /** Every kind of trigger has a sentence of its own. */
  @Test
  void triggersOfEveryKind() {
    List<Trigger> triggers =
        List.of(
            new Trigger.JoinsList(new ListName("L")),
            new Trigger.GetsTag(new TagName("t")),
            new Trigger.SubmitsForm(Optional.of(new FormName("Planner"))),
            new Trigger.SubmitsForm(Optional.empty()),
            new Trigger.EntersSegment(new SegmentName("Keen")),
            new Trigger.OpensMessage(MESSAGE),
            new Trigger.ClicksMessage(MESSAGE, Optional.of(new LinkName("A"))),
            new Trigger.LeavesCart(90),
            new Trigger.Buys(
                new Purchases(
                    Optional.empty(),
                    Optional.of(new CategoryName("Hives")),
                    Optional.of(new Money(4990)))),
            new Trigger.DateComes(new FieldName("renewal"), -7, LocalTime.of(9, 0), true, true),
            new Trigger.OnDate(LocalDate.of(2027, 5, 1), LocalTime.of(7, 30)),
            new Trigger.EventArrives(new EventName("visit"), List.of()),
            new Trigger.HandedOver(),
            new Trigger.PutIn());
    assertThat(
            triggers.stream()
                .map(one -> journey().edit().triggers(List.of(one)).done())
                .map(
                    one ->
                        new Sentences(one, MESSAGES)
                            .trigger()
                            .text()
                            .substring("Starts when someone ".length())))
        .containsExactly(
            "joins list L",
            "gets tag t",
            "submits form Planner",
            "submits any form",
            "enters segment Keen",
            "opens \u201cHello\u201d",
            "clicks \u201cA\u201d in \u201cHello\u201d",
            "leaves a cart for 90 minutes",
            "buys something from Hives for at least 49.90",
            "is 7 days before renewal, at 09:00, every year, 29 February on 1 March",
            "enters with all others on 2027-05-01, 07:30",
            "has event visit",
            "is handed over by another journey",
            "is put in by hand or by an import");
    assertThat(Trigger.class.getPermittedSubclasses()).hasSize(13);
  }
}
