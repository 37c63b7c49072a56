package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;

/**
 * What a dry run showed.
 *
 * @param people who triggered the journey
 * @param refused people kept out by the entry filter
 * @param turnedAway times that somebody came again and might not enter
 * @param entered times that somebody entered
 * @param finished were through with the journey, at its end or before, of entered
 * @param through went through to the end, of entered
 * @param waiting still inside at the horizon, of entered
 * @param leftGoal left because they met the goal, of entered
 * @param leftUnsubscribed left because they unsubscribed, of entered
 * @param leftBounced left because their address is dead, of entered
 * @param leftRule left because a leave rule held, of entered
 * @param leftComplained left because they complained, of entered
 * @param leftErased left because they were erased, of entered
 * @param unsubscribed unsubscribed inside the journey or after it, of entered
 * @param goal met the goal within its limit, of entered; null for a journey without a goal
 * @param secondaryGoals met each secondary goal of the journey, of entered
 * @param heldOutGoal met the goal without getting anything, of those held out; null without a goal
 *     or a hold-out
 * @param added goal met in the rest minus goal met in the hold-out; null if there is nothing to
 *     compare
 * @param emailsSent in all
 * @param textsSent in all
 * @param emailsPerGoal emails sent for each goal met; null if there is none
 * @param emailsEach emails sent to each who entered, on average; null if nobody did
 * @param money what people bought after they entered
 * @param chains emails that are tried again
 * @param steps in the order of the run sheet
 */
public record RunMeasures(
    long people,
    long refused,
    long turnedAway,
    long entered,
    Share finished,
    Share through,
    Share waiting,
    Share leftGoal,
    Share leftUnsubscribed,
    Share leftBounced,
    Share leftRule,
    Share leftComplained,
    Share leftErased,
    Share unsubscribed,
    @Nullable Share goal,
    List<Share> secondaryGoals,
    @Nullable Share heldOutGoal,
    @Nullable ShareDifference added,
    long emailsSent,
    long textsSent,
    @Nullable Double emailsPerGoal,
    @Nullable Double emailsEach,
    MoneyMeasures money,
    List<ChainMeasures> chains,
    List<StepMeasures> steps) {

  /** The run's first journey, or its only one. */
  public static RunMeasures of(Tallies run) {
    return of(run, 0);
  }

  /**
   * @param journey its number in the run
   */
  public static RunMeasures of(Tallies run, int journey) {
    JourneyTally tally = run.journeys().get(journey);
    Program program = tally.program();
    long entered = tally.entered();
    boolean hasGoal = program.goal().isPresent();
    List<StepMeasures> steps = new ArrayList<>();
    int sends = 0;
    for (StepTally step : tally.steps()) {
      Step what = program.steps().get(steps.size());
      EmailMeasures email = null;
      if (what instanceof Step.Send) {
        email =
            EmailMeasures.of(
                tally.sends().get(sends), program.messages(sends), program.tracksOpens(sends));
        sends++;
      }
      steps.add(StepMeasures.of(what, step, email, entered));
    }
    long emails = sent(tally, Step.SendEmail.class);
    Share goal = hasGoal ? Share.of(tally.goalMet(), entered) : null;
    Share heldOut =
        hasGoal && tally.heldOut() > 0 ? Share.of(tally.heldOutGoalMet(), tally.heldOut()) : null;
    return new RunMeasures(
        run.people(),
        tally.refused(),
        tally.turnedAway(),
        entered,
        Share.of(tally.finished(), entered),
        DropOff.of(tally).through(),
        Share.of(tally.waiting(), entered),
        left(tally, LeaveReason.GOAL_MET),
        left(tally, LeaveReason.UNSUBSCRIBED),
        left(tally, LeaveReason.BOUNCED),
        left(tally, LeaveReason.RULE),
        left(tally, LeaveReason.COMPLAINED),
        left(tally, LeaveReason.ERASED),
        Share.of(tally.unsubscribed(), entered),
        goal,
        Arrays.stream(tally.secondaryGoalsMet()).mapToObj(met -> Share.of(met, entered)).toList(),
        heldOut,
        goal == null || heldOut == null ? null : ShareDifference.unpaired(goal, heldOut),
        emails,
        sent(tally, Step.SendText.class),
        tally.goalMet() == 0 ? null : (double) emails / tally.goalMet(),
        entered == 0 ? null : (double) emails / entered,
        MoneyMeasures.of(tally.money(), entered),
        tally.chains().stream().map(chain -> ChainMeasures.of(chain, program)).toList(),
        steps);
  }

  private static Share left(JourneyTally tally, LeaveReason reason) {
    return Share.of(tally.left(reason), tally.entered());
  }

  private static long sent(JourneyTally tally, Class<? extends Step.Send> kind) {
    long sent = 0;
    for (int send = 0; send < tally.sends().size(); send++) {
      boolean counts = kind.isInstance(tally.program().sends().get(send));
      sent += counts ? tally.sends().get(send).sent() : 0;
    }
    return sent;
  }
}
