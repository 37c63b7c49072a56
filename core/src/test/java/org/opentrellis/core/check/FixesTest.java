package org.opentrellis.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.MESSAGE;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.testing.Steps;

/**
 * Every button that mends a finding does what its words say and no more: the finding is gone, no
 * error is new, and the run sheet differs as is told here.
 */
class FixesTest {
  private static final LocalDate TODAY = LocalDate.parse("2027-01-15");

  private static List<Finding> find(Journey journey) {
    return Checks.run(
        new CheckContext(
            journey, MESSAGES, TypicalBehaviour.in(BERLIN), List.of(), Set.of(), TODAY));
  }

  private static Condition clicked(String link) {
    return new Condition.Clicked(Steps.of("l"), Optional.of(new LinkName(link)), Optional.empty());
  }

  static Stream<Arguments> mends() {
    Journey plain = journey(send("a"));
    Step email = send("a").edit().untracked(true).done();
    List<Variant> versions =
        List.of(
            new Variant(id("v"), MESSAGE, Optional.empty(), 30),
            new Variant(id("w"), MESSAGE, Optional.of("Another"), 30));
    return Stream.of(
        Arguments.of(
            "no-goal",
            plain.edit().goal(Optional.empty()).done(),
            "Set goal: bought within 21 days, then leave",
            List.of("No goal yet -> Goal: bought anything within 21 days, leave when met")),
        Arguments.of(
            "no-goal",
            triggered(plain, new Trigger.LeavesCart(60)).edit().goal(Optional.empty()).done(),
            "Set goal: bought within 7 days, then leave",
            List.of("No goal yet -> Goal: bought anything within 7 days, leave when met")),
        Arguments.of(
            "buyers-stay",
            journey(Optional.of(Goal.bought(10, false)), send("a")),
            "Leave when the goal is met",
            List.of(
                "Goal: bought anything within 10 days, go on when met -> "
                    + "Goal: bought anything within 10 days, leave when met")),
        Arguments.of(
            "emails-too-close",
            journey(send("a"), send("b")),
            "Wait 1 day before it",
            List.of("+ Wait 1 day")),
        Arguments.of(
            "opened-too-soon",
            journey(send("a"), branch("b", openedByPeople("a"), null, List.of(), List.of())),
            "Wait up to 1 day",
            List.of(
                "Branch on opened \u201cHello\u201d themselves -> "
                    + "Branch on opened \u201cHello\u201d themselves, waiting up to 1 day")),
        Arguments.of(
            "untracked-opens",
            journey(
                email,
                pause("w", 1, TimeUnit.DAYS),
                branch("b", openedByPeople("a"), null, List.of(), List.of(finish("f")))),
            "Track its opens",
            List.of("Send \u201cHello\u201d, opens not tracked -> Send \u201cHello\u201d")),
        Arguments.of(
            "only-one-year",
            triggered(
                plain,
                new Trigger.DateComes(
                    new FieldName("renewal"), -30, LocalTime.of(9, 0), true, false)),
            "Each year: again after 300 days",
            List.of(
                "Starts when someone is 30 days before \u201crenewal\u201d, at 09:00, every year, once per person -> "
                    + "Starts when someone is 30 days before \u201crenewal\u201d, at 09:00, every year, again after 300 days")),
        Arguments.of(
            "missing-reference",
            journey(
                Step.SendEmail.of(id("l"), new MessageId("linked")),
                pause("w", 2, TimeUnit.DAYS),
                branch("b", clicked("Z"), null, List.of(finish("f")), List.of())),
            "Ask about \u201cA\u201d instead",
            List.of(
                "Branch on clicked \u201cZ\u201d in \u201cLinked\u201d -> "
                    + "Branch on clicked \u201cA\u201d in \u201cLinked\u201d",
                "A: clicked \u201cZ\u201d in \u201cLinked\u201d -> "
                    + "A: clicked \u201cA\u201d in \u201cLinked\u201d")),
        Arguments.of(
            "steps-behind-finish",
            journey(send("a"), finish("f"), send("b")),
            "Remove it",
            List.of("- Send \u201cHello\u201d")),
        Arguments.of(
            "second-cart-ignored",
            plain.edit().purpose(Purpose.CART).done(),
            "Let people enter every time",
            List.of(
                "Starts when someone joins list \u201cNewcomers\u201d, once per person -> "
                    + "Starts when someone joins list \u201cNewcomers\u201d, every time, even while inside")),
        Arguments.of(
            "weights-not-whole",
            journey(
                new Step.SplitTest(
                    id("s"),
                    List.of(
                        new SplitArm(id("s1"), 30, List.of(send("a"))),
                        new SplitArm(id("s2"), 30, List.of())))),
            "Share alike",
            List.of(
                "Split by lot 30% / 30% -> Split by lot 50% / 50%",
                "A: 30% -> A: 50%", "B: 30% -> B: 50%")),
        Arguments.of(
            "weights-not-whole",
            journey(send("a").edit().variants(versions).done()),
            "Share alike",
            List.of(
                "Send by lot \u201cHello\u201d to 30% or \u201cHello\u201d, \u201cAnother\u201d to 30% -> "
                    + "Send by lot \u201cHello\u201d to 50% or \u201cHello\u201d, \u201cAnother\u201d to 50%")),
        Arguments.of(
            "welcome-repeats",
            plain.edit().reEntry(new ReEntry.EveryTime()).done(),
            "Again only after having left",
            List.of(
                "Starts when someone joins list \u201cNewcomers\u201d, every time, even while inside -> "
                    + "Starts when someone joins list \u201cNewcomers\u201d, again after having left")),
        Arguments.of(
            "too-many-in-a-week",
            journey(
                IntStream.range(0, 12)
                    .mapToObj(n -> n % 2 == 0 ? send("a" + n) : pause("w" + n, 8, TimeUnit.HOURS))
                    .toArray(Step[]::new)),
            "At most 4 emails in 7 days, the rest waits",
            List.of("+ At most 4 emails in 7 days from all journeys; one too many waits")));
  }

  /** With people whose mail programs load most pictures. */
  @Test
  void opensByMachinesAreNoLongerCounted() {
    Journey bad =
        journey(
            send("a"),
            pause("w", 1, TimeUnit.DAYS),
            branch("b", opened("a"), null, List.of(finish("f")), List.of()));
    AudienceGroup readers = group(new Keenness(0.1, 0.1), 0);
    Behaviour people = behaviour(readers.edit().preloads(Assumed.typical(0.9)).done(), 0);
    CheckContext context = new CheckContext(bad, MESSAGES, people, List.of(), Set.of(), TODAY);
    Journey mended = new MostlyPreloads().look(context).get(0).fix().orElseThrow().mended();
    assertThat(differences(bad, mended))
        .containsExactly(
            "Branch on opened \u201cHello\u201d -> Branch on opened \u201cHello\u201d themselves",
            "A: opened \u201cHello\u201d -> A: opened \u201cHello\u201d themselves");
    CheckContext after = new CheckContext(mended, MESSAGES, people, List.of(), Set.of(), TODAY);
    assertThat(new MostlyPreloads().look(after)).isEmpty();
  }

  private static Journey triggered(Journey journey, Trigger... triggers) {
    return journey.edit().triggers(List.of(triggers)).done();
  }

  @ParameterizedTest(name = "{0}: {2}")
  @MethodSource("mends")
  void aMendDoesWhatItSays(String code, Journey bad, String label, List<String> difference) {
    Finding finding =
        find(bad).stream().filter(one -> one.code().equals(code)).findFirst().orElseThrow();
    Finding.Fix fix = finding.fix().orElseThrow();
    assertThat(fix.label() + ": " + differences(bad, fix.mended()))
        .isEqualTo(label + ": " + difference);
    assertMends(finding, bad);
  }

  private static List<String> differences(Journey before, Journey after) {
    return JourneyDifference.between(before, after, MESSAGES).stream()
        .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
        .map(FixesTest::said)
        .toList();
  }

  private static String said(DifferenceLine line) {
    return switch (line.kind()) {
      case ADDED -> "+ " + line.after();
      case REMOVED -> "- " + line.before();
      default -> line.before() + " -> " + line.after();
    };
  }

  private static void assertMends(Finding finding, Journey bad) {
    List<Finding> after = find(finding.fix().orElseThrow().mended());
    assertThat(after)
        .noneMatch(one -> one.code().equals(finding.code()) && one.step().equals(finding.step()));
    List<String> errors = errors(find(bad));
    assertThat(errors(after)).as("no error is new").isSubsetOf(errors);
  }

  private static List<String> errors(List<Finding> findings) {
    return findings.stream()
        .filter(one -> one.severity() == Severity.ERROR)
        .map(one -> one.code() + " " + one.step())
        .toList();
  }
}
