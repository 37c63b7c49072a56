package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;

/**
 * What a dry run showed.
 *
 * @param people who triggered the journey
 * @param refused people kept out by the entry filter
 * @param turnedAway times that somebody came again and might not enter
 * @param entered times that somebody entered
 * @param finished got to the end, of entered
 * @param waiting still inside at the horizon, of entered
 * @param leftGoal left because they met the goal, of entered
 * @param leftUnsubscribed left because they unsubscribed, of entered
 * @param leftBounced left because their address is dead, of entered
 * @param unsubscribed unsubscribed inside the journey or after it, of entered
 * @param goal met the goal within its limit, of entered; null for a journey without a goal
 * @param emailsSent in all
 * @param emailsPerGoal emails sent for each goal met; null if there is none
 * @param goalByDay who had met the goal by each day since entry, of entered; empty without a goal
 * @param steps in the order of the run sheet
 */
public record RunMeasures(
    long people,
    long refused,
    long turnedAway,
    long entered,
    Share finished,
    Share waiting,
    Share leftGoal,
    Share leftUnsubscribed,
    Share leftBounced,
    Share unsubscribed,
    @Nullable Share goal,
    long emailsSent,
    @Nullable Double emailsPerGoal,
    List<GoalDay> goalByDay,
    List<StepMeasures> steps) {

  /**
   * One point of the goal's curve.
   *
   * @param day whole days of 24 hours since entry, at its end
   * @param met who had met the goal by then
   */
  public record GoalDay(int day, Share met) {}

  public static RunMeasures of(Tallies run) {
    long entered = run.entered();
    boolean hasGoal = run.program().goal().isPresent();
    List<StepMeasures> steps = new ArrayList<>();
    int emails = 0;
    for (StepTally tally : run.steps()) {
      Step step = run.program().steps().get(steps.size());
      EmailTally email = step instanceof Step.SendEmail ? run.emails().get(emails++) : null;
      steps.add(StepMeasures.of(step, tally, email, entered));
    }
    long sent = run.emails().stream().mapToLong(EmailTally::sent).sum();
    return new RunMeasures(
        run.people(),
        run.refused(),
        run.turnedAway(),
        entered,
        Share.of(run.finished(), entered),
        Share.of(run.waiting(), entered),
        Share.of(run.left(LeaveReason.GOAL_MET), entered),
        Share.of(run.left(LeaveReason.UNSUBSCRIBED), entered),
        Share.of(run.left(LeaveReason.BOUNCED), entered),
        Share.of(run.unsubscribed(), entered),
        hasGoal ? Share.of(run.goalMet(), entered) : null,
        sent,
        run.goalMet() == 0 ? null : (double) sent / run.goalMet(),
        hasGoal ? curve(run) : List.of(),
        steps);
  }

  /**
   * The curve up to the goal's limit; a goal met at its very last moment counts for the last day.
   */
  private static List<GoalDay> curve(Tallies run) {
    int limit = run.program().goal().orElseThrow().withinDays();
    long[] byDay = run.goalByDay();
    List<GoalDay> curve = new ArrayList<>();
    long met = 0;
    for (int day = 0; day < Math.min(limit, byDay.length); day++) {
      met += byDay[day] + (day == limit - 1 && limit < byDay.length ? byDay[limit] : 0);
      curve.add(new GoalDay(day, Share.of(met, run.entered())));
    }
    return curve;
  }
}
