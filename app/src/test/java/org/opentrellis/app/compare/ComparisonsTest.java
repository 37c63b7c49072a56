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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.TypicalBehaviour;
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
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.problem.ProblemsFound;

/** How runs are named beside each other, and when they are compared one by one. */
@ExtendWith(MockitoExtension.class)
class ComparisonsTest {
  private static final Behaviour PEOPLE = TypicalBehaviour.in(ZoneId.of("Europe/Berlin"));

  @Mock private DryRuns dryRuns;
  @InjectMocks private Comparisons comparisons;

  private void kept(long id, String journey, int version, long seed, boolean hasGoal) {
    Catalogue catalogue = Catalogue.of(List.of(Message.email("m", "Hello", "Hello")));
    Journey plan =
        Journey.empty(journey, Purpose.OTHER)
            .edit()
            .goal(hasGoal ? Optional.of(Goal.bought(20, true)) : Optional.empty())
            .body(List.of(Step.SendEmail.of(new StepId("a"), new MessageId("m"))))
            .done();
    CohortSettings cohort = CohortSettings.of(500, seed, Instant.parse("2025-06-02T00:00:00Z"), 30);
    RunMeasures measures = RunMeasures.of(new DryRun(plan, catalogue, PEOPLE, cohort).run(1));
    DryRunSummary summary =
        new DryRunSummary(
            id,
            1,
            journey,
            Purpose.OTHER,
            version,
            500,
            seed,
            30,
            OffsetDateTime.parse("2025-06-02T10:00:00Z"),
            1,
            500,
            measures.goal(),
            null);
    when(dryRuns.find(id))
        .thenReturn(new KeptRun(summary, plan, catalogue, PEOPLE, cohort, measures));
  }

  @Test
  void runsAreNamedByWhatTellsThemApart() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Frames", 4, 7, true);
    kept(3, "Frames", 4, 8, true);
    kept(4, "Season", 1, 7, true);
    assertThat(comparisons.of(List.of(1L, 2L, 3L, 4L)).columns())
        .extracting(ComparisonView.Column::name)
        .containsExactly("Frames v3", "Frames v4, run 2", "Frames v4, run 3", "Season");
  }

  @Test
  void onlyTheSamePeopleArePaired() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Frames", 4, 7, true);
    kept(3, "Frames", 4, 8, true);
    assertThat(comparisons.of(List.of(1L, 2L, 3L)).differences())
        .extracting(difference -> difference.difference().paired())
        .containsExactly(true, false);
  }

  @Test
  void aRunWithoutAGoalCannotBeComparedByGoal() {
    kept(1, "Frames", 3, 7, true);
    kept(2, "Letters", 1, 7, false);
    ComparisonView.GoalDifference difference = comparisons.of(List.of(1L, 2L)).differences().get(0);
    assertThat(difference.difference()).isNull();
    assertThat(difference.sentence())
        .isEqualTo(
            "\u201cFrames\u201d and \u201cLetters\u201d cannot be compared by goal: one of them has none.");
  }

  @Test
  void tooFewRunsAreRefusedBeforeAnyIsRead() {
    assertThatThrownBy(() -> comparisons.of(List.of(1L)))
        .isInstanceOf(ProblemsFound.class)
        .hasMessage("Choose two to 6 different runs to compare.");
    verifyNoInteractions(dryRuns);
  }
}
