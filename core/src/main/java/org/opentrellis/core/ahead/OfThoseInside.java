package org.opentrellis.core.ahead;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.dryrun.GoingOn;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.machine.PersonState;

/**
 * What goes out to those who are inside of journeys: each is taken on from where they stand, as
 * often as wanted. Somebody may stand for others who are inside and are not looked at.
 */
public final class OfThoseInside {
  private OfThoseInside() {}

  /**
   * Somebody who is inside, or is known to come.
   *
   * @param number who it is
   * @param weight how many they stand for
   * @param comings when they come to which journeys
   */
  public record Insider(
      int number, double weight, PersonState standing, Map<JourneyName, Long> comings) {}

  /**
   * What one of them gets.
   *
   * @param weight how many they stand for
   * @param draws each time what they got, in order of time
   */
  public record Ahead(int number, double weight, List<List<Crowding.Got>> draws) {}

  /**
   * @param outlooks by journey, as the journeys are numbered in {@code going}; added to
   * @return what each of them gets
   */
  public static List<Ahead> of(
      List<Insider> people, int draws, GoingOn going, List<Outlook> outlooks) {
    Days days = outlooks.getFirst().days();
    List<Ahead> all = new ArrayList<>();
    for (Insider one : people) {
      List<List<Crowding.Got>> got = new ArrayList<>();
      Map<Crowding.Got, double[]> counted = new HashMap<>();
      for (int draw = 0; draw < draws; draw++) {
        List<Crowding.Got> now = new ArrayList<>();
        going.once(
            one.standing(),
            one.number(),
            draw,
            one.comings(),
            (journey, text, at) -> {
              int hour = days.hourOf(at);
              if (hour >= 0 && !text) {
                now.add(new Crowding.Got(journey, hour / Days.HOURS));
                outlooks.get(journey).expect(hour, one.weight() / draws);
              }
            });
        got.add(now);
        Map<Crowding.Got, Integer> times = new HashMap<>();
        now.forEach(email -> times.merge(email, 1, Integer::sum));
        times.forEach(
            (email, n) -> {
              double[] sums = counted.computeIfAbsent(email, none -> new double[2]);
              sums[0] += n;
              sums[1] += (double) n * n;
            });
      }
      counted.forEach(
          (email, sums) ->
              outlooks.get(email.lane()).mayBeOff(email.day(), off(sums, one.weight(), draws)));
      all.add(new Ahead(one.number(), one.weight(), got));
    }
    return all;
  }

  /** What becomes of each is not certain, nor, if others are meant by it, what becomes of them. */
  private static double off(double[] sums, double weight, int draws) {
    double mean = sums[0] / draws;
    double square = sums[1] / draws;
    double variance = Math.max(0, square - mean * mean) * draws / Math.max(1, draws - 1);
    return weight * variance * (1 + weight / draws) + weight * (weight - 1) * mean * mean;
  }
}
