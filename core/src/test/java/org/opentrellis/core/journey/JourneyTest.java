package org.opentrellis.core.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
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
      Journey changed = StepEdits.replace(sample(), id(step), old -> finish("new"));
      assertThat(changed.steps().map(one -> one.id().value())).contains("new").doesNotContain(step);
      assertThat(changed.steps().count()).isEqualTo(6);
    }
  }

  @Test
  void replacingWhatIsNotThereChangesNothing() {
    for (long seed = 0; seed < 50; seed++) {
      Journey journey = RandomJourneys.journey(seed, 20);
      assertThat(StepEdits.replace(journey, id("nowhere"), old -> finish("new")))
          .isEqualTo(journey);
    }
  }

  @Test
  void anotherGoalLeavesTheRest() {
    Journey changed = StepEdits.withGoal(sample(), new Goal(7, false));
    assertThat(changed.goal()).contains(new Goal(7, false));
    assertThat(StepEdits.withGoal(changed, new Goal(30, true))).isEqualTo(sample());
  }

  @ParameterizedTest
  @ValueSource(ints = {0, -1, 366})
  void aGoalLastsADayToAYear(int days) {
    assertThatThrownBy(() -> new Goal(days, true))
        .hasMessage("a goal's days must be 1 to 365, not " + days);
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
    Arm otherwise = new Arm(id("e"), Arm.EVERYONE, List.of());
    assertThatThrownBy(() -> new Step.Branch(id("b"), Optional.empty(), List.of(), otherwise))
        .hasMessage("branch b needs at least one arm");
    assertThatThrownBy(() -> new RecordChange.MoveToList(new ListName("New"), List.of()))
        .hasMessage("a move must name at least one list to leave");
  }
}
