package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.opentrellis.core.dryrun.DayTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.machine.LeaveReason;

/**
 * Where people are by whole days of 24 hours since they entered. On every day, those at the steps
 * and those who are out add up to all who entered.
 *
 * @param days how many days are told, from 0; after the last nobody moves
 * @param steps at which somebody stands on some day, in the order of the run sheet
 * @param finished who have gone through by each day
 * @param met who have left with the goal met
 * @param lost who have left otherwise
 */
public record Whereabouts(
    int days, List<Standing> steps, List<Long> finished, List<Long> met, List<Long> lost) {

  /**
   * @param step the step's id
   * @param people how many stand there on each day
   */
  public record Standing(String step, List<Long> people) {}

  public static Whereabouts of(JourneyTally tally) {
    DayTally of = tally.days();
    long[] finished = summed(of.finished());
    long[] met = summed(of.left(LeaveReason.GOAL_MET));
    long[] lost = new long[met.length];
    for (LeaveReason reason : LeaveReason.values()) {
      if (reason != LeaveReason.GOAL_MET) {
        long[] left = summed(of.left(reason));
        Arrays.setAll(lost, day -> lost[day] + left[day]);
      }
    }
    long[][] standing =
        tally.steps().stream().map(step -> step.standingByDay()).toArray(long[][]::new);
    int days = 1;
    for (int day = 1; day <= tally.horizonDays(); day++) {
      boolean moved = finished[day] != finished[day - 1];
      moved |= met[day] != met[day - 1] || lost[day] != lost[day - 1];
      for (long[] step : standing) {
        moved |= step[day] != step[day - 1];
      }
      days = moved ? day + 1 : days;
    }
    List<Standing> steps = new ArrayList<>();
    for (int i = 0; i < standing.length; i++) {
      List<Long> people = list(standing[i], days);
      if (people.stream().anyMatch(count -> count > 0)) {
        steps.add(new Standing(tally.program().steps().get(i).id().value(), people));
      }
    }
    return new Whereabouts(days, steps, list(finished, days), list(met, days), list(lost, days));
  }

  private static long[] summed(long[] byDay) {
    Arrays.parallelPrefix(byDay, Long::sum);
    return byDay;
  }

  private static List<Long> list(long[] counts, int days) {
    return Arrays.stream(counts).limit(days).boxed().toList();
  }
}
