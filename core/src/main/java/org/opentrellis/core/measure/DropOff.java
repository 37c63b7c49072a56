package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;

/**
 * Where people's way through the journey ends, and to what. Whoever met the goal is not lost, nor
 * is whoever finished or left where the journey says so.
 *
 * @param places where somebody's way ends, in the order of the run sheet
 * @param through went through to the end, of entered
 * @param met left because they met the goal, of entered
 * @param planned ended before as the journey says: finished early or left by a leave rule, of
 *     entered
 * @param lost ended otherwise: unsubscribed, complained, bounced or erased, of entered
 * @param waiting still inside at the horizon, of entered
 */
public record DropOff(
    List<DropPlace> places, Share through, Share met, Share planned, Share lost, Share waiting) {

  /**
   * @param step the step where they stood
   * @param reached how many got there
   * @param met left here because they met the goal
   * @param unsubscribed left here because they unsubscribed
   * @param complained left here because they complained
   * @param bounced left here because their address is dead
   * @param byRule left here because a leave rule held
   * @param erased left here because they were erased
   * @param early were through after this step, although others go on
   * @param waiting still here at the horizon
   * @param lost unsubscribed, complained, bounced or were erased, of those who got here
   */
  public record DropPlace(
      String step,
      long reached,
      long met,
      long unsubscribed,
      long complained,
      long bounced,
      long byRule,
      long erased,
      long early,
      long waiting,
      Share lost) {

    long ended() {
      return met + byRule + early + lost.count() + waiting;
    }
  }

  public static DropOff of(JourneyTally tally) {
    List<Step> body = tally.program().journey().body();
    Step last = body.isEmpty() ? null : body.get(body.size() - 1);
    List<DropPlace> places = new ArrayList<>();
    long early = 0;
    for (int i = 0; i < tally.steps().size(); i++) {
      Step step = tally.program().steps().get(i);
      DropPlace place = place(step, tally.steps().get(i), last != null && within(last, step));
      early += place.early();
      if (place.ended() > 0) {
        places.add(place);
      }
    }
    long entered = tally.entered();
    long met = tally.left(LeaveReason.GOAL_MET);
    return new DropOff(
        places,
        Share.of(tally.finished() - early, entered),
        Share.of(met, entered),
        Share.of(early + tally.left(LeaveReason.RULE), entered),
        Share.of(tally.left() - met - tally.left(LeaveReason.RULE), entered),
        Share.of(tally.waiting(), entered));
  }

  /** Whether a step is the journey's last, or inside that. */
  private static boolean within(Step last, Step step) {
    return last.equals(step)
        || last.ways().stream().flatMap(way -> way.steps().stream()).anyMatch(s -> within(s, step));
  }

  private static DropPlace place(Step step, StepTally tally, boolean atTheEnd) {
    long early = step instanceof Step.Finish || !atTheEnd ? tally.finished() : 0;
    long met = tally.left(LeaveReason.GOAL_MET);
    return new DropPlace(
        step.id().value(),
        tally.entered(),
        met,
        tally.left(LeaveReason.UNSUBSCRIBED),
        tally.left(LeaveReason.COMPLAINED),
        tally.left(LeaveReason.BOUNCED),
        tally.left(LeaveReason.RULE),
        tally.left(LeaveReason.ERASED),
        early,
        tally.waiting(),
        Share.of(tally.left() - met - tally.left(LeaveReason.RULE), tally.entered()));
  }
}
