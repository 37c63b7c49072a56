package org.opentrellis.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.untilNine;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.stats.Pairs;
import org.opentrellis.core.testing.Steps;

class MeasuresTest {
  private static RunMeasures run(Journey journey, int horizonDays) {
    return RunMeasures.of(tallies(journey, horizonDays));
  }

  private static Tallies tallies(Journey journey, int horizonDays) {
    CohortSettings cohort =
        CohortSettings.of(4_000, 3, Instant.parse("2025-06-02T00:00:00Z"), horizonDays);
    var people = behaviour(group(new Keenness(0.4, 0.2), 0.1), 0.3);
    return new DryRun(journey, MESSAGES, people, cohort).run(2);
  }

  /**
   * Common practice, no source; the arithmetic: 1000 sent, 20 bounced, 343 opens, 49 clickers are
   * 98% delivered, 35% opened, 5% clicked, 14.2857% click-to-open.
   */
  @Test
  void ratesAreOfDeliveredAndClickToOpenIsOfOpeners() {
    assertThat(Share.of(980, 1000).value()).isCloseTo(0.98, within(1e-12));
    assertThat(Share.of(343, 980).value()).isCloseTo(0.35, within(1e-12));
    assertThat(Share.of(49, 980).value()).isCloseTo(0.05, within(1e-12));
    assertThat(Share.of(49, 343).value()).isCloseTo(0.142857142857, within(1e-12));
  }

  /** Common practice, no source: click rate = open rate x click-to-open, pre-loads or not. */
  @Test
  void theRatesOfARunMultiply() {
    CohortSettings cohort = CohortSettings.of(2_000, 3, Instant.parse("2025-06-02T00:00:00Z"), 30);
    var people = TypicalBehaviour.in(Steps.BERLIN);
    EmailMeasures email =
        RunMeasures.of(new DryRun(journey(send("a")), MESSAGES, people, cohort).run(2))
            .steps()
            .get(0)
            .email();
    assertThat(email.opened().count()).isGreaterThan(email.openedByPeople().count());
    assertThat(email.opened().value() * email.clickToOpen().value())
        .isCloseTo(email.clicked().value(), within(1e-12));
  }

  @Test
  void aShareOfNothingIsNoneYet() {
    assertThat(Share.of(0, 0)).isEqualTo(new Share(0, 0, null, null, null));
    RunMeasures nobodyYet = run(journey(pause("w", 9, TimeUnit.DAYS), send("late")), 3);
    StepMeasures late = nobodyYet.steps().get(1);
    assertThat(late.reach().count()).isZero();
    assertThat(late.arrival()).isNull();
    assertThat(late.email()).isNotNull();
    assertThat(late.email().opened().value()).isNull();
    assertThat(late.email().clickToOpen().value()).isNull();
  }

  @Test
  void aRunWithoutAGoalHasNoGoalFigures() {
    RunMeasures run = run(journey(Optional.empty(), send("a")), 30);
    assertThat(run.goal()).isNull();
    assertThat(run.emailsPerGoal()).isNull();
  }

  @Test
  void theGoalsCurveEndsAtTheGoal() {
    Tallies tallies = tallies(journey(send("a")), 60);
    RunMeasures run = RunMeasures.of(tallies);
    List<Curve.CurvePoint> points = RunCurves.of(tallies.journey()).goal().points();
    assertThat(points).hasSize(31);
    assertThat(points.get(0).value()).isZero();
    assertThat(points.get(30).value()).isCloseTo(run.goal().value(), within(1e-12));
    for (int day = 1; day <= 30; day++) {
      assertThat(points.get(day).value()).isGreaterThanOrEqualTo(points.get(day - 1).value());
      assertThat(points.get(day).low()).isLessThanOrEqualTo(points.get(day).value());
      assertThat(points.get(day).high()).isGreaterThanOrEqualTo(points.get(day).value());
    }
  }

  @Test
  void onEveryDayPeopleAreAtAStepOrOut() {
    Tallies tallies =
        tallies(
            journey(
                send("a"), pause("w", 3, TimeUnit.DAYS), send("b"), pause("v", 4, TimeUnit.DAYS)),
            60);
    Whereabouts where = Whereabouts.of(tallies.journey());
    assertThat(where.days()).isBetween(7, 9);
    for (int day = 0; day < where.days(); day++) {
      int at = day;
      long standing = where.steps().stream().mapToLong(step -> step.people().get(at)).sum();
      long out = where.finished().get(day) + where.met().get(day) + where.lost().get(day);
      assertThat(standing + out).isEqualTo(tallies.journey().entered());
    }
    assertThat(where.steps()).extracting(Whereabouts.Standing::step).containsExactly("w", "v");
  }

  @Test
  void whoMeetsTheGoalIsNotLost() {
    Tallies tallies = tallies(journey(send("a"), pause("w", 9, TimeUnit.DAYS), send("b")), 60);
    DropOff off = DropOff.of(tallies.journey());
    RunMeasures run = RunMeasures.of(tallies);
    assertThat(off.met()).isEqualTo(run.leftGoal());
    assertThat(off.through().count() + off.met().count() + off.lost().count())
        .isEqualTo(run.entered());
    DropOff.DropPlace wait = off.places().get(0);
    assertThat(wait.step()).isEqualTo("w");
    assertThat(wait.met()).isPositive();
    assertThat(wait.lost().count()).isEqualTo(wait.unsubscribed() + wait.bounced());
  }

  @Test
  void furtherTriesAreReadAsOne() {
    var only = new Condition.None(List.of(opened("a")));
    Tallies tallies =
        tallies(
            journey(
                send("a"),
                pause("w", 2, TimeUnit.DAYS),
                send("b").edit().onlyIf(Optional.of(only)).done()),
            60);
    RunMeasures run = RunMeasures.of(tallies);
    ChainMeasures chain = run.chains().get(0);
    assertThat(chain.steps()).containsExactly("a", "b");
    EmailMeasures first = run.steps().get(0).email();
    assertThat(chain.openedFirst()).isEqualTo(first.opened());
    long second = run.steps().get(2).email().opened().count();
    assertThat(chain.openedAny().count())
        .isBetween(first.opened().count() + 1, first.opened().count() + second);
    assertThat(chain.moreEmails()).isBetween(0.1, 1.0);
  }

  @Test
  void arrivalsSayDayAndCommonLocalTime() {
    RunMeasures run =
        run(journey(send("a"), pause("w", 1, TimeUnit.DAYS), untilNine("n"), send("b")), 30);
    Arrival first = run.steps().get(0).arrival();
    assertThat(first.day()).isZero();
    assertThat(first.medianHours()).isZero();
    assertThat(first.localTime()).isNull();
    Arrival second = run.steps().get(3).arrival();
    assertThat(second.localTime()).isEqualTo("09:00");
    assertThat(second.day()).isBetween(1, 2);
    assertThat(second.medianHours()).isBetween(24.0, 48.0);
  }

  @Test
  void emailsAreInTheOrderPeopleGetThem() {
    RunMeasures run =
        run(
            journey(
                send("first"),
                branch(
                    "b",
                    opened("first"),
                    null,
                    List.of(pause("w", 3, TimeUnit.DAYS), send("late")),
                    List.of(send("soon")))),
            30);
    assertThat(EmailOrder.of(run).stream().map(StepMeasures::id)).startsWith("first", "soon");
  }

  /** 56/70 against 48/80: Newcombe 1998, method 10. */
  @Test
  void differencesCarryTheirInterval() {
    ShareDifference difference = ShareDifference.unpaired(Share.of(56, 70), Share.of(48, 80));
    assertThat(difference.low()).isCloseTo(0.05243147, within(1e-8));
    assertThat(difference.high()).isCloseTo(0.33387265, within(1e-8));
    assertThat(difference.realDifference()).isTrue();
    assertThat(ShareDifference.unpaired(Share.of(0, 0), Share.of(1, 2))).isNull();
    assertThat(ShareDifference.paired(new Pairs(0, 0, 0, 0))).isNull();
  }

  @Test
  void theSummarySaysWhatHappenedWithItsInterval() {
    List<String> summary = RunSummary.of(run(journey(send("a")), 60), List.of());
    assertThat(summary.get(0))
        .matches("\\d+\\.\\d% of the 4,000 who entered met the goal .95% interval .*");
    assertThat(RunSummary.of(run(journey(Optional.empty(), send("a")), 60), List.of()).get(0))
        .contains("no goal");
  }

  @Test
  void theHoldOutShowsWhatTheJourneyAdded() {
    CohortSettings cohort =
        new CohortSettings(
            20_000, 3, Instant.parse("2025-06-02T00:00:00Z"), 60, new ArrivalPlan.Evenly(7), 0.3);
    var people = behaviour(group(new Keenness(0.5, 0.2), 0.05), 0.5);
    RunMeasures run =
        RunMeasures.of(new DryRun(journey(send("a")), MESSAGES, people, cohort).run(2));
    assertThat(run.heldOutGoal().of() + run.entered()).isEqualTo(20_000);
    assertThat(run.heldOutGoal().of() / 20_000.0)
        .isCloseTo(0.3, within(4.417173 * Math.sqrt(0.21 / 20_000)));
    assertThat(run.heldOutGoal().value())
        .isCloseTo(0.05, within(4.417173 * Math.sqrt(0.05 * 0.95 / run.heldOutGoal().of())));
    // Half open, three in ten of them click, half of those buy: 7.5 points, less who buys anyway.
    assertThat(run.added().points()).isCloseTo(0.075 * 0.95, within(0.02));
    assertThat(run.added().realDifference()).isTrue();
    assertThat(RunSummary.of(run, List.of())).anyMatch(s -> s.startsWith("The journey added"));
  }
}
