package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.testing.RandomJourneys;

class JourneyTest {
  private static Journey sample() {
    return journey(
        send("a"),
        branch("b", opened("a"), null, List.of(tag("t", "x")), List.of(send("c"), finish("f"))),
        send("d"));
  }

  @Test
  void stepsAreInTheOrderOfTheRunSheet() {
    assertThat(sample().steps().map(step -> step.id().value()))
        .containsExactly("a", "b", "t", "c", "f", "d");
    assertThat(sample().emails())
        .extracting(email -> email.id().value())
        .containsExactly("a", "c", "d");
  }

  @Test
  void anIdStandsOnce() {
    assertThatThrownBy(() -> journey(send("a"), send("a"))).hasMessage("the id a is used twice");
    assertThatThrownBy(
            () -> journey(branch("b", opened("a"), null, List.of(send("b-else")), List.of())))
        .hasMessage("the id b-else is used twice");
  }

  @Test
  void replacingReachesIntoEveryArm() {
    for (String step : List.of("a", "t", "c", "d")) {
      Journey changed = StepEdits.change(sample(), id(step), old -> finish("new"));
      assertThat(changed.steps().map(one -> one.id().value())).contains("new").doesNotContain(step);
      assertThat(changed.steps().count()).isEqualTo(6);
    }
  }

  @Test
  void replacingWhatIsNotThereChangesNothing() {
    for (long seed = 0; seed < 50; seed++) {
      Journey journey = RandomJourneys.journey(seed, 20);
      assertThat(StepEdits.change(journey, id("nowhere"), old -> finish("new"))).isEqualTo(journey);
    }
  }

  @Test
  void anotherGoalLeavesTheRest() {
    Journey changed = sample().edit().goal(Optional.of(Goal.bought(7, false))).done();
    assertThat(changed.goal()).contains(Goal.bought(7, false));
    assertThat(changed.edit().goal(Optional.of(Goal.bought(30, true))).done()).isEqualTo(sample());
  }

  @ParameterizedTest
  @ValueSource(ints = {0, -1, 731})
  void aGoalLastsADayToTwoYears(int days) {
    assertThatThrownBy(() -> Goal.bought(days, true))
        .hasMessage("a goal's days must be 1 to 730, not " + days);
  }

  @Test
  void namesAreTrimmedAndRefusedWhenEmptyLongOrUnprintable() {
    assertThat(new TagName("  keeper ")).isEqualTo(new TagName("keeper"));
    assertThatThrownBy(() -> new TagName(" ")).hasMessage("a tag name must not be empty");
    assertThatThrownBy(() -> new ListName("x".repeat(81)))
        .hasMessage("a list name must have at most 80 characters, not 81");
    assertThatThrownBy(() -> new LinkName("a\u0007b"))
        .hasMessage("a link name must not hold control characters");
  }

  @Test
  void stepsThatDoNothingAreRefused() {
    assertThatThrownBy(() -> new Step.Change(id("c"), List.of()))
        .hasMessage("change c changes nothing");
    Otherwise otherwise = new Otherwise(id("e"), List.of());
    assertThatThrownBy(() -> new Step.Branch(id("b"), Optional.empty(), List.of(), otherwise))
        .hasMessage("branch b needs at least one arm");
    assertThatThrownBy(() -> new RecordChange.MoveToList(new ListName("New"), List.of()))
        .hasMessage("a move must name at least one list to leave");
  }

  @Test
  void aStrandTakesItsPlaceUnderTheIncludesName() {
    Journey journey = journey(new Step.Include(id("i"), new StrandId("spring")), send("z"));
    assertThat(Strands.expand(journey, RandomJourneys.CATALOGUE).steps().map(s -> s.id().value()))
        .containsExactly("i", "i/m", "i/w", "i/b", "i/t", "z");
    assertThat(
            Strands.expand(journey, RandomJourneys.CATALOGUE)
                .only(Step.Branch.class)
                .get(0)
                .conditions())
        .containsExactly(opened("i/m"));
    assertThat(Strands.expand(journey, Catalogue.EMPTY)).isEqualTo(journey);
  }

  @Test
  void strandsInACircleAreRefused() {
    Catalogue circle =
        new Catalogue(
            List.of(), List.of(strand("a", "b"), strand("b", "c"), strand("c", "b")), List.of());
    assertThat(Strands.circle(circle).orElseThrow())
        .containsExactly(new StrandId("b"), new StrandId("c"), new StrandId("b"));
    assertThatThrownBy(
            () -> Strands.expand(journey(new Step.Include(id("i"), new StrandId("a"))), circle))
        .hasMessageContaining("includes itself");
    assertThat(Strands.circle(RandomJourneys.CATALOGUE)).isEmpty();
  }

  private static Strand strand(String name, String includes) {
    return new Strand(
        new StrandId(name), name, List.of(new Step.Include(id("i"), new StrandId(includes))));
  }

  @Test
  void journeysThatLeadRoundAtOnceAreFound() {
    Journey one = leadsTo("One", "Two", List.of());
    Journey two = leadsTo("Two", "One", List.of());
    Journey late = leadsTo("Two", "One", List.of(pause("w", 1, TimeUnit.MINUTES)));
    assertThat(circle(one, two).orElseThrow())
        .containsExactly(one.journeyName(), two.journeyName(), one.journeyName());
    assertThat(circle(one, late)).isEmpty();
    Journey tags =
        journey(tag("t", "x"))
            .edit()
            .triggers(List.of(new Trigger.GetsTag(new TagName("x"))))
            .done();
    assertThat(circle(tags)).isPresent();
  }

  private static Optional<List<JourneyName>> circle(Journey... journeys) {
    return Circles.find(Stream.of(journeys).map(Leads::of).toList());
  }

  private static Journey leadsTo(String name, String other, List<Step> first) {
    List<Step> body = new java.util.ArrayList<>(first);
    body.add(new Step.HandOver(id("h"), new JourneyName(other), true));
    return Journey.empty(name, Purpose.OTHER).withBody(body);
  }

  @Test
  void everyTypeRefusesWhatCannotBe() {
    assertThatThrownBy(() -> new SplitArm(id("a"), 101, List.of()))
        .hasMessage("a share must be 0 to 100 percent, not 101.0");
    assertThatThrownBy(
            () -> new Step.SplitTest(id("s"), List.of(new SplitArm(id("a"), 100, List.of()))))
        .hasMessage("split test s needs at least two arms");
    assertThatThrownBy(
            () ->
                new Condition.Field(
                    new FieldName("f"), Operator.BETWEEN, List.of(new Operand.Number(1))))
        .hasMessage("\u201cis between\u201d takes 2 values, not 1");
    assertThatThrownBy(() -> new Trigger.LeavesCart(0)).hasMessageContaining("1 to 10080, not 0");
    assertThatThrownBy(() -> new ReEntry.AfterDays(0)).hasMessageContaining("1 to 3660, not 0");
    assertThatThrownBy(() -> new FrequencyGuard(0, 1, FrequencyGuard.Then.HOLD, false))
        .hasMessageContaining("1 to 100");
    assertThatThrownBy(() -> new Notice.WebAddress("ftp://x"))
        .hasMessageContaining("http:// or https://");
    assertThatThrownBy(() -> new Money(-1)).hasMessageContaining("0 to a million");
    assertThatThrownBy(() -> new EmailRef.OfLast(0)).hasMessageContaining("1 to 50");
    assertThatThrownBy(
            () -> new Condition.Happened(new EventName("e"), List.of(), 0, Optional.empty()))
        .hasMessageContaining("1 to 1000");
    assertThatThrownBy(() -> new WaitRule.UntilDay(-1, Optional.empty(), new IfPast.GoOn()))
        .hasMessageContaining("0 to 3660");
    assertThatThrownBy(() -> new Operand.Number(Double.NaN)).hasMessageContaining("finite");
  }
}
