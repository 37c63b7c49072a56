package org.opentrellis.core.stats;

import java.util.ArrayList;
import java.util.List;

/**
 * The share of people to whom something has not happened yet, by time, when some are not followed
 * to the end (Kaplan and Meier 1958), with Greenwood's variance and limits on the log-log scale.
 *
 * @param points at each time at which it happened to somebody, in order
 */
public record KaplanMeier(List<Point> points) {

  /**
   * @param time at which it happened
   * @param atRisk to how many it had not happened, who were still followed
   * @param events to how many it happened at this time
   * @param survival the share to whom it has not happened by then
   * @param error Greenwood's standard error of that share; NaN when it is 0
   */
  public record Point(double time, long atRisk, long events, double survival, double error) {

    /** Limits on the log-log scale; NaN where the share is 0 or 1. */
    public Interval limits(Confidence confidence) {
      double spread = confidence.z() * error / (survival * Math.abs(Math.log(survival)));
      return new Interval(
          Math.pow(survival, Math.exp(spread)), Math.pow(survival, Math.exp(-spread)));
    }
  }

  /**
   * People followed to a time.
   *
   * @param time when it happened, or when they were last seen
   * @param happened whether it did
   * @param people how many
   */
  public record Followed(double time, boolean happened, long people) {}

  /**
   * @param followed in any order; who is last seen at a time counts as followed at it
   */
  public static KaplanMeier of(List<Followed> followed) {
    List<Point> points = new ArrayList<>();
    double survival = 1;
    double greenwood = 0;
    for (double time : eventTimes(followed)) {
      long atRisk = atRisk(followed, time);
      long events = eventsAt(followed, time);
      survival *= 1 - events / (double) atRisk;
      greenwood += events / ((double) atRisk * (atRisk - events));
      double error = survival > 0 ? survival * Math.sqrt(greenwood) : Double.NaN;
      points.add(new Point(time, atRisk, events, survival, error));
    }
    return new KaplanMeier(points);
  }

  static double[] eventTimes(List<Followed> followed) {
    return followed.stream()
        .filter(one -> one.happened() && one.people() > 0)
        .mapToDouble(Followed::time)
        .distinct()
        .sorted()
        .toArray();
  }

  static long atRisk(List<Followed> followed, double time) {
    return followed.stream().filter(one -> one.time() >= time).mapToLong(Followed::people).sum();
  }

  static long eventsAt(List<Followed> followed, double time) {
    return followed.stream()
        .filter(one -> one.happened() && one.time() == time)
        .mapToLong(Followed::people)
        .sum();
  }
}
