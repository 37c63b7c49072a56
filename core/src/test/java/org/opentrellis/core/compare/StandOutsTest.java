package org.opentrellis.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.openedByPeople;
import static org.opentrellis.core.testing.Steps.pause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/** What stands beside what, and what is said of it, where tries and goals differ. */
class StandOutsTest {
  private static final Optional<Goal> GOAL = Optional.of(Goal.bought(30, true));
  private static final Catalogue MESSAGES =
      Catalogue.of(
          List.of(
              Message.email("m1", "One", "One"),
              Message.email("m2", "Two", "Two"),
              Message.email("m3", "Three", "Three"),
              Message.email("m4", "Four", "Four")));

  private static Step.SendEmail send(int message) {
    return Step.SendEmail.of(new StepId("s" + message), new MessageId("m" + message));
  }

  private static Step.SendEmail again(int message) {
    Condition not = new Condition.None(List.of(openedByPeople("s" + message)));
    return Step.SendEmail.of(new StepId("again" + message), new MessageId("m" + message))
        .edit()
        .onlyIf(Optional.of(not))
        .done();
  }

  private static Journey with(Optional<Goal> goal, Step... emails) {
    List<Step> body = new ArrayList<>();
    for (Step email : emails) {
      body.add(email);
      body.add(pause("w" + body.size(), 2, TimeUnit.DAYS));
    }
    return journey(goal, body.toArray(Step[]::new));
  }

  private static ComparedJourney side(String name, Journey journey) {
    return Sides.of(
        name,
        journey,
        MESSAGES,
        TypicalBehaviour.in(BERLIN),
        CohortSettings.of(4_000, 3, Sides.START, 60));
  }

  @Test
  void runsOfTheSameMessagesAreLinedUpByThem() {
    ComparedJourney plain = side("plain", with(GOAL, send(1), send(2)));
    ComparedJourney tried = side("tried", with(GOAL, send(1), again(1), send(2)));
    ComparedJourney other = side("other", with(GOAL, send(3), send(4)));
    assertThat(LineUp.usual(List.of(plain, tried))).isEqualTo(LineUp.MESSAGE);
    assertThat(LineUp.usual(List.of(plain, other))).isEqualTo(LineUp.EMAIL_ORDER);
    assertThat(LineUp.usual(List.of(plain, tried, other))).isEqualTo(LineUp.EMAIL_ORDER);
    // The second try stands by itself, not beside another email.
    assertThat(
            LineUp.MESSAGE.rows(List.of(plain, tried)).values().stream()
                .filter(row -> row.get(0) == null)
                .map(row -> row.get(1).id()))
        .containsExactly("again1");
  }

  /** Those who did not open the first open the second less often: that is no fading. */
  @Test
  void aSecondTryNeverFades() {
    ComparedJourney tried = side("tried", with(GOAL, send(1), again(1), send(2), again(2)));
    assertThat(new OpensFade().find(tried, 0)).isEmpty();
  }

  @Test
  void whoeverHasNoGoalIsAskedForOne() {
    ComparedJourney none = side("none", with(Optional.empty(), send(1)));
    assertThat(new GoalMissing().find(none, 1).get(0).text())
        .contains("has no goal, so no verdict on it is possible");
    assertThat(new GoalMissing().find(side("one", with(GOAL, send(1))), 0)).isEmpty();
    assertThat(
            Comparison.of(List.of(none, none), 0, LineUp.MESSAGE, Compared.OPENED, Effort.of(1))
                .standsOut())
        .anyMatch(one -> one.text().contains("has no goal"));
  }
}
