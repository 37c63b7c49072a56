package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.testing.RandomJourneys;

/** What holds exactly in every run, over 400 random journeys that use the whole language. */
@Tag("thorough")
class ConservationTest {
  static final int PEOPLE = 150;

  static LongStream seeds() {
    return LongStream.range(0, 400);
  }

  /** Every third run takes two journeys together; every fifth has a hold-out. */
  static DryRun dryRun(long seed) {
    Journey journey = RandomJourneys.journey(seed, 1 + (int) (seed % 30));
    Behaviour behaviour = RandomJourneys.behaviour(seed);
    CohortSettings cohort =
        new CohortSettings(
            PEOPLE,
            seed,
            Instant.parse("2027-03-22T00:00:00Z"),
            5 + (int) (seed % 40),
            new ArrivalPlan.Evenly(7),
            seed % 5 == 0 ? 0.2 : 0);
    if (seed % 3 != 0) {
      return new DryRun(journey, RandomJourneys.catalogue(seed), behaviour, cohort);
    }
    Journey other = RandomJourneys.journey(seed + 10_000, 12).edit().name("Another").done();
    return new DryRun(
        List.of(journey, other),
        RandomJourneys.catalogue(seed),
        List.of(behaviour, behaviour),
        cohort);
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void nobodyIsLostOrMadeUp(long seed) {
    Tallies run = dryRun(seed).run(1);
    assertThat(run.people()).isEqualTo(PEOPLE);
    long emails = 0;
    for (JourneyTally tally : run.journeys()) {
      nobodyIsLost(tally);
      for (int send = 0; send < tally.sends().size(); send++) {
        boolean text =
            tally.program().sends().get(send) instanceof org.opentrellis.core.journey.Step.SendText;
        emails += text ? 0 : tally.sends().get(send).sent();
      }
    }
    assertThat(run.emails().total()).isEqualTo(emails);
  }

  private static void nobodyIsLost(JourneyTally run) {
    assertThat(run.entered()).isEqualTo(run.finished() + run.left() + run.waiting());
    assertThat(Arrays.stream(run.days().goals()).sum()).isLessThanOrEqualTo(run.goalMet());
    assertThat(Arrays.stream(run.days().followed()).sum()).isEqualTo(run.entered());
    assertThat(Arrays.stream(run.days().finished()).sum()).isEqualTo(run.finished());
    for (LeaveReason reason : LeaveReason.values()) {
      assertThat(Arrays.stream(run.days().left(reason)).sum()).isEqualTo(run.left(reason));
    }
    everybodyIsSomewhereOnEveryDay(run);
    assertThat(run.money().buyers()).isLessThanOrEqualTo(run.entered());
    assertThat(run.money().orders()).isGreaterThanOrEqualTo(run.money().buyers());
    long emails = Arrays.stream(run.days().emails()).sum();
    assertThat(run.money().emails()).isEqualTo(emails);
    assertThat(run.goalTimes().total()).isEqualTo(run.goalMet());
    assertThat(Arrays.stream(run.sentPerVisit()).sum()).isEqualTo(run.entered());
    long onPaths = run.paths().kept().stream().mapToLong(PathTally::count).sum();
    assertThat(onPaths + run.paths().others()).isEqualTo(run.entered());
    long left = 0;
    long waiting = 0;
    for (StepTally step : run.steps()) {
      assertThat(step.entered()).isEqualTo(step.passed() + step.left() + step.waiting());
      assertThat(Arrays.stream(step.byDay()).sum()).isEqualTo(step.entered());
      assertThat(Arrays.stream(step.byQuarter()).sum()).isEqualTo(step.entered());
      assertThat(step.sinceEntry().total()).isEqualTo(step.entered());
      if (step.ways().length > 0) {
        assertThat(Arrays.stream(step.ways()).sum()).isEqualTo(step.passed());
      }
      assertThat(step.finished()).isLessThanOrEqualTo(step.passed());
      assertThat(Arrays.stream(step.standingByDay()).min().orElseThrow()).isNotNegative();
      left += step.left();
      waiting += step.waiting();
    }
    assertThat(left).isEqualTo(run.left());
    assertThat(waiting).isEqualTo(run.waiting());
    run.sends().forEach(ConservationTest::holds);
  }

  private static void everybodyIsSomewhereOnEveryDay(JourneyTally run) {
    long[] out = run.days().finished();
    for (LeaveReason reason : LeaveReason.values()) {
      long[] left = run.days().left(reason);
      Arrays.setAll(out, day -> out[day] + left[day]);
    }
    Arrays.parallelPrefix(out, Long::sum);
    for (int day = 0; day <= run.horizonDays(); day++) {
      int at = day;
      long standing = run.steps().stream().mapToLong(step -> step.standingByDay()[at]).sum();
      assertThat(standing + out[day]).isEqualTo(run.entered());
    }
  }

  private static void holds(EmailTally email) {
    assertThat(email.delivered()).isLessThanOrEqualTo(email.sent());
    assertThat(email.opened()).isLessThanOrEqualTo(email.delivered());
    assertThat(email.clicked()).isLessThanOrEqualTo(email.openedByPeople());
    assertThat(email.openedByPeople()).isLessThanOrEqualTo(email.delivered());
    assertThat(email.unsubscribed()).isLessThanOrEqualTo(email.openedByPeople());
    assertThat(email.buyers()).isLessThanOrEqualTo(email.clicked());
    assertThat(Arrays.stream(email.byVariant()).sum()).isEqualTo(email.sent());
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void theResultIsTheSameForAnyNumberOfThreads(long seed) {
    DryRun run = dryRun(seed);
    Tallies one = run.run(1);
    Tallies many = run.run(seed % 2 == 0 ? 2 : 7);
    for (int journey = 0; journey < one.journeys().size(); journey++) {
      assertThat(RunMeasures.of(many, journey)).isEqualTo(RunMeasures.of(one, journey));
      assertThat(many.journeys().get(journey).paths().kept())
          .isEqualTo(one.journeys().get(journey).paths().kept());
    }
  }
}
