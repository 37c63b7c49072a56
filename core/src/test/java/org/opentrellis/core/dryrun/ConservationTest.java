package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.testing.RandomJourneys;

/** What holds exactly in every run, over 400 random journeys that use the whole language. */
class ConservationTest {
  private static final Map<MessageId, List<LinkName>> LINKS =
      RandomJourneys.MESSAGES.stream().collect(Collectors.toMap(Message::id, Message::links));

  static LongStream seeds() {
    return LongStream.range(0, 400);
  }

  private static DryRun dryRun(long seed) {
    Journey journey = RandomJourneys.journey(seed, 1 + (int) (seed % 30));
    CohortSettings cohort =
        new CohortSettings(300, seed, Instant.parse("2025-03-24T00:00:00Z"), 5 + (int) (seed % 40));
    return new DryRun(Program.compile(journey, LINKS), RandomJourneys.behaviour(seed), cohort);
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void nobodyIsLostOrMadeUp(long seed) {
    Tallies run = dryRun(seed).run(1);
    long left = Arrays.stream(LeaveReason.values()).mapToLong(run::left).sum();
    assertThat(run.entered()).isEqualTo(run.finished() + left + run.waiting());
    assertThat(run.people()).isEqualTo(300);
    assertThat(Arrays.stream(run.goalByDay()).sum()).isEqualTo(run.goalMet());
    long leftInSteps = 0;
    long waitingInSteps = 0;
    for (int i = 0; i < run.steps().size(); i++) {
      StepTally step = run.steps().get(i);
      assertThat(step.entered()).isEqualTo(step.passed() + step.left() + step.waiting());
      assertThat(Arrays.stream(step.byDay()).sum()).isEqualTo(step.entered());
      assertThat(Arrays.stream(step.byQuarter()).sum()).isEqualTo(step.entered());
      assertThat(step.sinceEntry().total()).isEqualTo(step.entered());
      if (run.program().steps().get(i) instanceof Step.Branch) {
        assertThat(Arrays.stream(step.arms()).sum()).isEqualTo(step.passed());
      }
      leftInSteps += step.left();
      waitingInSteps += step.waiting();
    }
    assertThat(leftInSteps).isEqualTo(left);
    assertThat(waitingInSteps).isEqualTo(run.waiting());
    for (EmailTally email : run.emails()) {
      assertThat(email.delivered()).isLessThanOrEqualTo(email.sent());
      assertThat(email.opened()).isLessThanOrEqualTo(email.delivered());
      assertThat(email.openedByPeople()).isLessThanOrEqualTo(email.opened());
      assertThat(email.clicked()).isLessThanOrEqualTo(email.openedByPeople());
      if (email.byLink().length > 0) {
        assertThat(Arrays.stream(email.byLink()).sum()).isEqualTo(email.clicked());
      }
    }
  }

  @ParameterizedTest(name = "journey {0}")
  @MethodSource("seeds")
  void theResultIsTheSameForAnyNumberOfPartitions(long seed) {
    DryRun run = dryRun(seed);
    RunMeasures one = RunMeasures.of(run.run(1));
    assertThat(RunMeasures.of(run.run(2))).isEqualTo(one);
    assertThat(RunMeasures.of(run.run(7))).isEqualTo(one);
  }
}
