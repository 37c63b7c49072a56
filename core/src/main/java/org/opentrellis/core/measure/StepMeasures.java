package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.machine.LeaveReason;

/**
 * How one step did.
 *
 * @param id the step's
 * @param reach who got there, of entered
 * @param passed went on from here
 * @param waiting still here at the horizon
 * @param finished were through with the journey after it
 * @param held messages that had to wait for the send window or the frequency guard
 * @param skipped went on without the message
 * @param leftGoal left the journey here because they met the goal
 * @param leftUnsubscribed left it here because they unsubscribed
 * @param leftBounced left it here because their address is dead
 * @param leftRule left it here because a leave rule held
 * @param left left it here for any reason, of those who got here
 * @param arrival when people get here; null if nobody did
 * @param arms for a branch or a split test, who took each arm, of those who decided
 * @param email for an email or a text, how it did
 */
public record StepMeasures(
    String id,
    Share reach,
    long passed,
    long waiting,
    long finished,
    long held,
    long skipped,
    long leftGoal,
    long leftUnsubscribed,
    long leftBounced,
    long leftRule,
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
      Step step, StepTally tally, @Nullable EmailMeasures email, long enteredJourney) {
    return new StepMeasures(
        step.id().value(),
        Share.of(tally.entered(), enteredJourney),
        tally.passed(),
        tally.waiting(),
        tally.finished(),
        tally.held(),
        tally.skipped(),
        tally.left(LeaveReason.GOAL_MET),
        tally.left(LeaveReason.UNSUBSCRIBED),
        tally.left(LeaveReason.BOUNCED),
        tally.left(LeaveReason.RULE),
        Share.of(tally.left(), tally.entered()),
        Arrival.of(tally),
        arms(step, tally),
        email);
  }

  private static List<ArmMeasures> arms(Step step, StepTally tally) {
    List<ArmMeasures> measures = new ArrayList<>();
    long[] taken = tally.ways();
    for (Way way : step.ways()) {
      measures.add(
          new ArmMeasures(way.id().value(), Share.of(taken[measures.size()], tally.passed())));
    }
    return measures;
  }
}
