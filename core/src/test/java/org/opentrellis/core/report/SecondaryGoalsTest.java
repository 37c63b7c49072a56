package org.opentrellis.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.hasTag;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purchases;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.problem.Refused;

/** What is counted beside the goal: against the goal itself, closed forms and plain counts. */
class SecondaryGoalsTest {
  private static final int PEOPLE = 20_000;
  private static final Condition BOUGHT = new Condition.Bought(Purchases.ANY, Optional.empty());
  private static final Journey PLAIN =
      journey(
          Optional.of(Goal.bought(30, true)),
          send("a"),
          pause("p", 3, TimeUnit.DAYS),
          tag("t", "through"),
          send("b"));

  private static Tallies run(Journey journey) {
    var people = behaviour(group(new Keenness(0.4, 0.2), 0.1), 0.5);
    CohortSettings cohort = CohortSettings.of(PEOPLE, 3, Instant.parse("2027-03-01T00:00:00Z"), 60);
    return new DryRun(journey, MESSAGES, people, cohort).run(2);
  }

  private static Journey with(SecondaryGoal... goals) {
    return PLAIN.edit().secondaryGoals(List.of(goals)).done();
  }

  @Test
  void theyAreCountedAndChangeNothing() {
    JourneyTally plain = run(PLAIN).journey();
    JourneyTally counted =
        run(with(
                new SecondaryGoal(BOUGHT, 30),
                new SecondaryGoal(opened("a"), 30),
                new SecondaryGoal(hasTag("through"), 2),
                new SecondaryGoal(hasTag("through"), 4)))
            .journey();
    assertThat(counted.goalMet()).isEqualTo(plain.goalMet());
    assertThat(counted.finished()).isEqualTo(plain.finished());
    assertThat(counted.left()).isEqualTo(plain.left());
    long[] met = counted.secondaryGoalsMet();
    // The same question within the same time as the goal.
    assertThat(met[0]).isEqualTo(counted.goalMet());
    // A person opens with the mean keenness; all but one in a thousand within 30 days.
    assertThat(met[1] / (double) PEOPLE)
        .isCloseTo(0.4, within(4.417173 * Math.sqrt(0.24 / PEOPLE) + 0.002));
    // Tagged after three days of 24 hours, give or take the hour that the clocks change.
    assertThat(met[2]).isZero();
    assertThat(met[3]).isEqualTo(counted.steps().get(2).passed());
  }

  @Test
  void theyAreSaidWithTheirIntervals() {
    Tallies run = run(with(new SecondaryGoal(opened("a"), 30)));
    RunMeasures measures = RunMeasures.of(run);
    assertThat(measures.secondaryGoals().get(0).count())
        .isEqualTo(run.journey().secondaryGoalsMet()[0]);
    assertThat(Summary.of(run, 0).get(1))
        .matches("Secondary goal: opened .* within 30 days: \\d\\d\\.\\d% \u00b10\\.\\d met it\\.");
  }

  @Test
  void fiveAreEnoughAndEachOnce() {
    assertThatThrownBy(() -> with(new SecondaryGoal(BOUGHT, 30), new SecondaryGoal(BOUGHT, 30)))
        .isInstanceOf(Refused.class)
        .hasMessage("two secondary goals are the same");
    List<SecondaryGoal> six = Collections.nCopies(6, new SecondaryGoal(BOUGHT, 30));
    assertThatThrownBy(() -> PLAIN.edit().secondaryGoals(six).done())
        .isInstanceOf(Refused.class)
        .hasMessage("a journey has at most 5 secondary goals, not 6");
  }
}
