package org.opentrellis.core.newsletter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.BERLIN;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.RandomNewsletters;
import org.opentrellis.core.walk.Turn;

/** What a newsletter means: the journey that it runs as, its sentences, and what is found in it. */
class NewsletterTest {
  private static final LocalDate DAY = LocalDate.of(2027, 3, 4);
  private static final MessageId EMAIL = new MessageId("m1");
  private static final MessageId TEXT = new MessageId("t1");
  private static final long HOUR = 3600;
  private static final int PEOPLE = 40;

  private static Newsletter news() {
    return new Newsletter(
        "News of the hive",
        Optional.of(EMAIL),
        Optional.of(new Readers.Those(new Condition.OnList(new ListName("Members")))),
        Optional.of(new Condition.HasTag(new TagName("resting"))),
        List.of(new JourneyName("First frames"), new JourneyName("Left on the bench")),
        Optional.of(new Going(DAY, LocalTime.of(17, 0), false)),
        4,
        Optional.of(new SubjectTest(List.of("Early frames"), 20, SubjectTest.By.OPENED, 4)),
        Optional.of(new TextAfter(Optional.of(TEXT), 12, TextAfter.To.NOT_OPENED)),
        Optional.of(new OnceMore("In case it slipped past you", 72)),
        Optional.of("Mira from Ambercomb"));
  }

  private static List<String> sheet(Newsletter newsletter) {
    return NewsletterSheet.of(newsletter, MessageId::value, RandomJourneys.CATALOGUE, BERLIN);
  }

  @Test
  void itIsReadAloud() {
    assertThat(sheet(news()))
        .containsExactly(
            "Sends \u201cm1\u201d to those who are on list Members.",
            "Does not go to those who have tag resting, nor to those who are inside First frames or"
                + " Left on the bench when it goes out.",
            "Goes out on Thu 4 March 2027 at 17:00 in Europe/Berlin, over 4 hours, about a quarter"
                + " of them each hour.",
            "Tries the message\u2019s own subject and \u201cEarly frames\u201d on 20% of them"
                + " first; 4 hours later the one that more people opened goes to the rest. If the"
                + " difference could be chance, the first does.",
            "12 hours after it sends \u201ct1\u201d to the phones of those who agreed to texts and"
                + " have not opened it.",
            "3 days after it goes once more to those who have not opened it, under \u201cIn case it"
                + " slipped past you\u201d.",
            "Comes from Mira from Ambercomb.");
    assertThat(sheet(Newsletter.begun("New")))
        .containsExactly("Sends no message yet to nobody yet.", "Goes out at no time yet.");
  }

  @Test
  void itsDocumentLeadsBackToIt() {
    assertThat(Documents.readNewsletter(Documents.write(news()))).isEqualTo(news());
    for (int seed = 0; seed < 300; seed++) {
      Newsletter one = RandomNewsletters.of(seed, DAY, EMAIL, TEXT);
      assertThat(Documents.readNewsletter(Documents.write(one))).isEqualTo(one);
      Journey journey = NewsletterJourney.of(one, BERLIN, 0);
      assertThat(Documents.readJourney(Documents.write(journey), RandomJourneys.CATALOGUE))
          .as("a journey as any other")
          .isEqualTo(journey);
    }
  }

  /** Whoever renames a tag need not compose the journey anew. */
  @Test
  void namesAreExchangedInBothAlike() {
    NameExchange exchange = new NameExchange(new TagName("not me"), new TagName("resting"));
    for (int seed = 0; seed < 100; seed++) {
      Newsletter one = RandomNewsletters.of(seed, DAY, EMAIL, TEXT);
      assertThat(NewsletterJourney.of(exchange.in(one), BERLIN, 0))
          .isEqualTo(exchange.in(NewsletterJourney.of(one, BERLIN, 0)));
    }
  }

  private static DryRun run(Newsletter newsletter, int better, long seed) {
    return new DryRun(
        NewsletterJourney.of(newsletter, BERLIN, better),
        RandomJourneys.CATALOGUE,
        TypicalBehaviour.in(BERLIN),
        CohortSettings.of(PEOPLE, seed, Instant.parse("2027-03-01T00:00:00Z"), 30));
  }

  private record Sent(String step, long at) {}

  private static List<Sent> sent(DryRun run, List<Turn> turns) {
    Program program = run.world().programs().getFirst();
    return turns.stream()
        .filter(turn -> turn.kind() == Turn.Kind.SENT)
        .map(turn -> new Sent(program.steps().get(turn.step()).id().value(), turn.at()))
        .toList();
  }

  /**
   * Over many newsletters: who enters gets it once, at its moment or within its hours, the rest
   * after the subjects were tried; nothing follows to whom it should not, and all of it in time.
   */
  @Test
  void eachGetsItOnceAndWhatFollowsOnlyIfItShould() {
    int followed = 0;
    int tried = 0;
    for (int seed = 0; seed < 120; seed++) {
      Newsletter newsletter = RandomNewsletters.of(seed, DAY, EMAIL, TEXT);
      DryRun run = run(newsletter, 0, seed);
      for (int n = 0; n < PEOPLE; n++) {
        Rehearsal rehearsal = Rehearsal.of(run, n);
        List<Sent> sent = sent(run, rehearsal.turns());
        List<Sent> first =
            sent.stream()
                .filter(
                    one ->
                        !one.step().equals(NewsletterJourney.TEXT.value())
                            && !one.step().equals(NewsletterJourney.ONCE_MORE.value()))
                .toList();
        assertThat(first).as("seed %d, person %d", seed, n).hasSizeLessThanOrEqualTo(1);
        if (first.isEmpty()) {
          assertThat(sent).isEmpty();
          continue;
        }
        tried += first.getFirst().step().startsWith("subject-") ? 1 : 0;
        inTime(newsletter, first.getFirst(), rehearsal);
        followed += follows(newsletter, first.getFirst(), sent, rehearsal);
      }
    }
    assertThat(followed).isGreaterThan(500);
    assertThat(tried).isGreaterThan(300);
  }

  private static void inTime(Newsletter newsletter, Sent first, Rehearsal rehearsal) {
    Going going = newsletter.going().orElseThrow();
    long moment =
        going
            .date()
            .atTime(going.at())
            .atZone(going.theirTime() ? rehearsal.begun().zone() : BERLIN)
            .toEpochSecond();
    boolean rest =
        newsletter.subjects().isPresent() && first.step().equals(NewsletterJourney.EMAIL.value());
    long from = moment + (rest ? newsletter.subjects().get().hours() * HOUR : 0);
    boolean spread = rest || newsletter.subjects().isEmpty();
    long to = from + (spread ? newsletter.overHours() * HOUR : 0);
    assertThat(first.at()).isBetween(from, to);
  }

  private static int follows(
      Newsletter newsletter, Sent first, List<Sent> sent, Rehearsal rehearsal) {
    Map<String, Sent> byStep =
        sent.stream().collect(Collectors.toMap(Sent::step, Function.identity()));
    assertThat(byStep).as("nothing twice").hasSameSizeAs(sent);
    Sent text = byStep.get(NewsletterJourney.TEXT.value());
    Sent again = byStep.get(NewsletterJourney.ONCE_MORE.value());
    if (text != null) {
      TextAfter after = newsletter.text().orElseThrow();
      assertThat(text.at()).isEqualTo(first.at() + after.hours() * HOUR);
      switch (after.to()) {
        case NOT_OPENED -> assertThat(opened(rehearsal, text.at())).isFalse();
        case NOT_CLICKED -> assertThat(clicked(rehearsal, text.at())).isFalse();
        case ALL_WHO_AGREED -> {}
      }
    }
    if (again != null) {
      assertThat(again.at())
          .isEqualTo(first.at() + newsletter.onceMore().orElseThrow().hours() * HOUR);
      assertThat(opened(rehearsal, again.at())).isFalse();
    } else if (newsletter.onceMore().isPresent() && isInsideAtTheEnd(rehearsal)) {
      assertThat(opened(rehearsal, first.at() + newsletter.onceMore().get().hours() * HOUR))
          .as("only who opened is spared")
          .isTrue();
    }
    return sent.size() - 1;
  }

  private static boolean isInsideAtTheEnd(Rehearsal rehearsal) {
    return rehearsal.turns().stream().anyMatch(turn -> turn.kind() == Turn.Kind.FINISHED);
  }

  /** By then; what happens to the one that goes out just then does not count. */
  private static boolean opened(Rehearsal rehearsal, long by) {
    return rehearsal.acts().stream()
        .anyMatch(
            act ->
                act.at() <= by
                    && act instanceof Happening.OfMessage of
                    && !of.message().step().equals(NewsletterJourney.TEXT)
                    && !(of.message().step().equals(NewsletterJourney.ONCE_MORE) && act.at() == by)
                    && (act instanceof Happening.OpenRecorded || act instanceof Happening.Opened));
  }

  private static boolean clicked(Rehearsal rehearsal, long by) {
    return rehearsal.acts().stream()
        .anyMatch(act -> act.at() <= by && act instanceof Happening.Clicked);
  }

  /** So the better subject can be put in while the rest wait for it. */
  @Test
  void theBetterSubjectChangesNothingButTheRestsSubject() {
    Journey first = NewsletterJourney.of(news(), BERLIN, 0);
    Journey other = NewsletterJourney.of(news(), BERLIN, 1);
    assertThat(other.steps().map(step -> step.id().value()))
        .containsExactlyElementsOf(first.steps().map(step -> step.id().value()).toList());
    assertThat(
            IntStream.range(0, first.emails().size())
                .filter(n -> !first.emails().get(n).equals(other.emails().get(n)))
                .mapToObj(n -> other.emails().get(n).subject()))
        .containsExactly(Optional.of("Early frames"));
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> news().going(Optional.of(new Going(DAY, LocalTime.NOON, true))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at one moment for all");
    assertThatThrownBy(() -> new SubjectTest(List.of(), 20, SubjectTest.By.OPENED, 4))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new SubjectTest(List.of("A"), 51, SubjectTest.By.OPENED, 4))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new TextAfter(Optional.empty(), 0, TextAfter.To.NOT_OPENED))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("1 to 168");
    assertThatThrownBy(() -> Newsletter.begun(" ")).isInstanceOf(Refused.class);
  }

  /** An account in which "m1" is a message, "First frames" a journey, and 400 get newsletters. */
  private record Around(long people) implements NewsletterChecks.Surroundings {
    @Override
    public LocalDateTime now() {
      return DAY.atTime(12, 0);
    }

    @Override
    public Optional<QuietHours> quietHours() {
      return Optional.of(new QuietHours(LocalTime.of(22, 0), LocalTime.of(7, 0)));
    }

    @Override
    public String subject(MessageId message) {
      return "First";
    }

    @Override
    public List<String> faults(MessageId message) {
      return Set.of(EMAIL, TEXT).contains(message) ? List.of() : List.of("It has no subject.");
    }

    @Override
    public boolean isJourney(JourneyName name) {
      return name.value().equals("First frames") || name.value().equals("Left on the bench");
    }

    @Override
    public Optional<Long> usually() {
      return Optional.of(400L);
    }
  }

  private static List<String> found(Newsletter newsletter, long people) {
    return NewsletterChecks.of(newsletter, new Around(people)).stream()
        .map(one -> one.code() + " " + one.place())
        .toList();
  }

  @Test
  void whatIsMissingOrWouldBeRegrettedIsFound() {
    assertThat(found(news(), 400)).isEmpty();
    assertThat(found(Newsletter.begun("New"), 0))
        .containsExactly("no-message /message", "no-people /who", "no-time /going");
    assertThat(found(news(), 601)).containsExactly("many /who");
    assertThat(NewsletterChecks.of(news(), new Around(900)).getFirst().sentence())
        .isEqualTo("900 people get it: 500 more than usual (400), 2.3 times as many.");
    assertThat(found(news(), 0)).containsExactly("nobody /who");
    assertThat(found(news().sending(new MessageId("m9")), 400))
        .containsExactly("message-fault /message");
    assertThat(found(news().going(Optional.of(new Going(DAY, LocalTime.NOON, false))), 400))
        .as("now is past")
        .containsExactly("past /going");
    assertThat(found(news().going(Optional.of(new Going(DAY, LocalTime.of(22, 0), false))), 400))
        .containsExactly("quiet /going");
    assertThat(found(news().going(Optional.of(new Going(DAY, LocalTime.of(18, 0), false))), 400))
        .containsExactly("rest-quiet /subjects/hours");
  }

  @Test
  void subjectsAreWrittenAndDiffer() {
    Newsletter twice = withSubjects(List.of("First", ""), "First");
    assertThat(found(twice, 400))
        .containsExactly(
            "same-subject /subjects/others/0",
            "no-subject /subjects/others/1",
            "same-subject /onceMore/subject");
  }

  private static Newsletter withSubjects(List<String> others, String again) {
    Newsletter news = news();
    return new Newsletter(
        news.name(),
        news.message(),
        news.who(),
        news.butNot(),
        news.notInside(),
        news.going(),
        news.overHours(),
        Optional.of(new SubjectTest(others, 20, SubjectTest.By.OPENED, 4)),
        news.text(),
        Optional.of(new OnceMore(again, 24)),
        news.sender());
  }
}
