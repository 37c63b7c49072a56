package org.opentrellis.cli;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.Summary;

/**
 * What a dry run prints; the fields are described in docs/format.
 *
 * @param only what happened in the one journey, its fields beside the run's; null if there are more
 * @param journeys in the order of the files; null if there is but one
 */
record RunResult(
    int people,
    long seed,
    Instant start,
    int horizonDays,
    int arrivalDays,
    double holdOut,
    @JsonUnwrapped @Nullable JourneyResult only,
    @Nullable List<JourneyResult> journeys) {

  record JourneyResult(
      String journey,
      List<String> summary,
      long entered,
      long refused,
      long turnedAway,
      long finished,
      long left,
      long waiting,
      @Nullable Long goal,
      List<Long> secondaryGoals,
      long unsubscribed,
      long complained,
      long heldOut,
      long heldOutGoal,
      long emailsSent,
      long textsSent,
      long buyers,
      double revenue,
      List<StepResult> steps,
      @Nullable List<PathResult> paths,
      @Nullable Long otherPaths) {}

  /** One step; counts about messages are null where nothing is sent. */
  record StepResult(
      String id,
      String kind,
      long entered,
      @Nullable Long sent,
      @Nullable Long delivered,
      @Nullable Long opened,
      @Nullable Long openedByPeople,
      @Nullable Long clicked,
      @Nullable Long buyers,
      long skipped,
      long held,
      long unsubscribed,
      long left,
      long waiting,
      long finished,
      long goal,
      @Nullable Double medianHours,
      @Nullable Double medianErrorHours,
      List<Long> arms) {}

  record PathResult(
      long count,
      double share,
      long goal,
      double messages,
      double days,
      String end,
      List<String> steps) {}

  static RunResult of(DryRun run, Tallies tallies, List<RunMeasures> measures, boolean withPaths) {
    List<JourneyResult> journeys = new ArrayList<>();
    for (JourneyTally tally : tallies.journeys()) {
      List<String> summary = Summary.of(tallies, journeys.size());
      journeys.add(journey(run, tally, measures.get(journeys.size()), summary, withPaths));
    }
    var settings = run.settings();
    return new RunResult(
        settings.people(),
        settings.seed(),
        settings.start(),
        settings.horizonDays(),
        settings.arrivalDays(),
        settings.holdOut(),
        journeys.size() == 1 ? journeys.get(0) : null,
        journeys.size() == 1 ? null : journeys);
  }

  private static JourneyResult journey(
      DryRun run,
      JourneyTally tally,
      RunMeasures measures,
      List<String> summary,
      boolean withPaths) {
    return new JourneyResult(
        tally.program().journey().name(),
        summary,
        tally.entered(),
        tally.refused(),
        tally.turnedAway(),
        tally.finished(),
        tally.left(),
        tally.waiting(),
        tally.program().goal().isPresent() ? tally.goalMet() : null,
        Arrays.stream(tally.secondaryGoalsMet()).boxed().toList(),
        tally.unsubscribed(),
        tally.complained(),
        tally.heldOut(),
        tally.heldOutGoalMet(),
        measures.emailsSent(),
        measures.textsSent(),
        measures.money().buyers().count(),
        measures.money().revenue(),
        steps(tally),
        withPaths ? PathNames.of(run, tally) : null,
        withPaths ? tally.paths().others() : null);
  }

  static List<StepResult> steps(JourneyTally tally) {
    List<StepResult> steps = new ArrayList<>();
    int sends = 0;
    for (StepTally step : tally.steps()) {
      Step what = tally.program().steps().get(steps.size());
      EmailTally email = what instanceof Step.Send ? tally.sends().get(sends++) : null;
      steps.add(step(what, step, email));
    }
    return steps;
  }

  private static StepResult step(Step what, StepTally step, @Nullable EmailTally email) {
    String kind = what.getClass().getSimpleName();
    List<Long> arms = new ArrayList<>();
    for (long taken : step.ways()) {
      arms.add(taken);
    }
    return new StepResult(
        what.id().value(),
        Character.toLowerCase(kind.charAt(0)) + kind.substring(1),
        step.entered(),
        email == null ? null : email.sent(),
        email == null ? null : email.delivered(),
        email == null ? null : email.opened(),
        email == null ? null : email.openedByPeople(),
        email == null ? null : email.clicked(),
        email == null ? null : email.buyers(),
        step.skipped(),
        step.held(),
        step.left(LeaveReason.UNSUBSCRIBED),
        step.left(),
        step.waiting(),
        step.finished(),
        step.left(LeaveReason.GOAL_MET),
        step.entered() == 0 ? null : step.sinceEntry().quantile(0.5) / 3600.0,
        step.entered() == 0 ? null : step.sinceEntry().quantileError(0.5) / 3600.0,
        arms);
  }
}
