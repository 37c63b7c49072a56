package org.opentrellis.app.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.Spy;
import org.mockito.junit.jupiter.MockitoExtension;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.compare.WholeRunDifference;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.report.RunReport;

/** How runs are named beside each other, and when they are compared one by one. */
@ExtendWith(MockitoExtension.class)
class ComparisonsTest {
  private static final Behaviour PEOPLE = TypicalBehaviour.in(ZoneId.of("Europe/Berlin"));

  @Mock private DryRuns dryRuns;
  @Spy private ComputingRoom room = new ComputingRoom();
  @InjectMocks private Comparisons comparisons;

  @AfterEach
  void closeTheRoom() {
    room.close();
  }

  private void kept(long id, String journey, int version, long seed, boolean hasGoal) {
    Catalogue catalogue = Catalogue.of(List.of(Message.email("m", "Hello", "Hello")));
    Journey plan =
        Journey.empty(journey, Purpose.OTHER)
            .edit()
            .goal(hasGoal ? Optional.of(Goal.bought(20, true)) : Optional.empty())
            .body(List.of(Step.SendEmail.of(new StepId("a"), new MessageId("m"))))
            .done();
    CohortPlan cohort = CohortPlan.of(500, PEOPLE.groups());
    Instant start = Instant.parse("2025-06-02T00:00:00Z");
    DryRun run = new DryRun(plan, catalogue, PEOPLE, CohortSettings.of(cohort, seed, start, 30));
    when(dryRuns.find(id))
        .thenReturn(
            new KeptRun(
                id,
                null,
                false,
                OffsetDateTime.parse("2025-06-02T10:00:00Z"),
                1,
                DryRun.ENGINE,
                cohort,
                null,
                seed,
                start,
                30,
                catalogue,
                List.of(new KeptRun.Part(1, version, plan, PEOPLE)),
                RunReport.of(run, run.run(1), Texting.NONE),
                null,
                null,
                false));
  }

  private ComparisonView compared(String... runs) {
    return ComputingRoom.await(comparisons.of(List.of(runs), null, null, null));
  }

  @Test
  void runsAreNamedByWhatTellsThemApart() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Frames", 4, 7, true);
    kept(3, "Frames", 4, 8, true);
    kept(4, "Season", 1, 7, true);
    assertThat(compared("1", "2", "3", "4").columns())
        .extracting(ComparisonView.Column::name)
        .containsExactly("Frames v3", "Frames v4, run 2", "Frames v4, run 3", "Season");
  }

  @Test
  void onlyTheSamePeopleArePaired() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Frames", 4, 7, true);
    kept(3, "Frames", 4, 8, true);
    assertThat(compared("1", "2", "3").comparison().wholes().stream().skip(1))
        .extracting(whole -> whole.goal().paired())
        .containsExactly(true, false);
  }

  @Test
  void aRunWithoutAGoalCannotBeComparedByGoal() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Letters", 1, 7, false);
    WholeRunDifference whole = compared("1", "2").comparison().wholes().get(1);
    assertThat(whole.goal()).isNull();
    assertThat(whole.goalSentence())
        .isEqualTo(
            "\u201cLetters\u201d and \u201cFrames\u201d cannot be compared by goal: one of them has none.");
  }

  @Test
  void tooFewRunsAreRefusedBeforeAnyIsRead() {
    assertThatThrownBy(() -> compared("1"))
        .isInstanceOf(ProblemsFound.class)
        .hasMessage("Choose two to 6 different runs to compare.");
    verifyNoInteractions(dryRuns);
  }
}
