package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;

/**
 * How one step did.
 *
 * @param id the step's
 * @param reach who got there, of entered
 * @param passed went on from here
 * @param waiting still here at the horizon
 * @param leftGoal left the journey here because they met the goal
 * @param leftUnsubscribed left it here because they unsubscribed
 * @param leftBounced left it here because their address is dead
 * @param left left it here for any reason, of those who got here
 * @param arrival when people get here; null if nobody did
 * @param arms for a branch, who took each arm, of those who decided
 * @param email for an email, how it did
 */
public record StepMeasures(
    String id,
    Share reach,
    long passed,
    long waiting,
    long leftGoal,
    long leftUnsubscribed,
    long leftBounced,
    Share left,
    @Nullable Arrival arrival,
    List<ArmMeasures> arms,
    @Nullable EmailMeasures email) {

  /**
   * How many took an arm.
   *
   * @param id the arm's
   * @param taken of those who decided
   */
  public record ArmMeasures(String id, Share taken) {}

  static StepMeasures of(
      Step step, StepTally tally, @Nullable EmailTally email, long enteredJourney) {
    return new StepMeasures(
        step.id().value(),
        Share.of(tally.entered(), enteredJourney),
        tally.passed(),
        tally.waiting(),
        tally.left(LeaveReason.GOAL_MET),
        tally.left(LeaveReason.UNSUBSCRIBED),
        tally.left(LeaveReason.BOUNCED),
        Share.of(tally.left(), tally.entered()),
        Arrival.of(tally),
        arms(step, tally),
        email == null ? null : EmailMeasures.of(email));
  }

  private static List<ArmMeasures> arms(Step step, StepTally tally) {
    List<ArmMeasures> measures = new ArrayList<>();
    if (step instanceof Step.Branch branch) {
      long[] taken = tally.arms();
      for (Arm arm : branch.allArms()) {
        measures.add(
            new ArmMeasures(arm.id().value(), Share.of(taken[measures.size()], tally.passed())));
      }
    }
    return measures;
  }
}
