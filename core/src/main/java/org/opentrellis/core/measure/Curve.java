package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.DayTally;
import org.opentrellis.core.stats.Confidence;
import org.opentrellis.core.stats.Interval;
import org.opentrellis.core.stats.KaplanMeier;
import org.opentrellis.core.stats.KaplanMeier.Followed;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.stats.Wilson;

/**
 * By how many days after entry something has happened to which share of people, with a 95% band
 * (Kaplan and Meier, Greenwood's variance, limits on the log-log scale); who is no longer followed
 * counts as not yet. Before the first time, and where it has happened to all, the band is Wilson's.
 *
 * @param points by whole days of 24 hours, from 0; as far as somebody is followed
 */
public record Curve(List<CurvePoint> points) {

  /**
   * @param day whole days since entry
   * @param value the share to whom it has happened by then
   * @param low the band's lower end
   * @param high its upper end
   * @param atRisk to how many it had not happened who were followed through this day
   * @param events to how many it happened in this day
   */
  public record CurvePoint(
      int day, double value, double low, double high, long atRisk, long events) {}

  /**
   * The people behind the curve, each followed to where it happened or where they were last seen.
   */
  public List<Followed> followed() {
    List<Followed> followed = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      CurvePoint point = points.get(i);
      long next = i + 1 < points.size() ? points.get(i + 1).atRisk() : 0;
      if (point.events() > 0) {
        followed.add(new Followed(point.day(), true, point.events()));
      }
      if (point.atRisk() - point.events() > next) {
        followed.add(new Followed(point.day(), false, point.atRisk() - point.events() - next));
      }
    }
    return followed;
  }

  /** Goals met by day; null if the journey has no goal. */
  static @Nullable Curve ofGoal(DayTally days, boolean hasGoal) {
    return hasGoal ? of(followedToGoal(days)) : null;
  }

  static Curve ofUnsubscribes(DayTally days) {
    return of(followedToUnsubscribe(days));
  }

  /** People followed to their goal, by day. */
  private static List<Followed> followedToGoal(DayTally days) {
    return followed(days.goals(), days.goalsUnmet());
  }

  /** People followed to where they unsubscribed, by day. */
  private static List<Followed> followedToUnsubscribe(DayTally days) {
    return followed(days.unsubscribed(), days.stayedSubscribed());
  }

  private static List<Followed> followed(long[] happened, long[] not) {
    List<Followed> all = new ArrayList<>();
    for (int day = 0; day < happened.length; day++) {
      if (happened[day] > 0) {
        all.add(new Followed(day + 1, true, happened[day]));
      }
      if (not[day] > 0) {
        all.add(new Followed(day, false, not[day]));
      }
    }
    return all;
  }

  private static Curve of(List<Followed> followed) {
    Map<Integer, KaplanMeier.Point> at = new HashMap<>();
    KaplanMeier.of(followed).points().forEach(point -> at.put((int) point.time(), point));
    int last = followed.stream().mapToInt(one -> (int) one.time()).max().orElse(0);
    long people = followed.stream().mapToLong(Followed::people).sum();
    List<CurvePoint> points = new ArrayList<>();
    if (people == 0) {
      return new Curve(points);
    }
    points.add(new CurvePoint(0, 0, 0, 0, people, 0));
    CurvePoint before = points.get(0);
    for (int day = 1; day <= last; day++) {
      KaplanMeier.Point point = at.get(day);
      CurvePoint next =
          point == null
              ? new CurvePoint(
                  day, before.value(), before.low(), before.high(), atRisk(followed, day), 0)
              : point(day, point);
      points.add(next);
      before = next;
    }
    return new Curve(points);
  }

  private static CurvePoint point(int day, KaplanMeier.Point of) {
    Interval limits =
        of.survival() > 0
            ? of.limits(Confidence.NINETY_FIVE)
            : Wilson.interval(new Proportion(0, of.atRisk()), Confidence.NINETY_FIVE);
    return new CurvePoint(
        day, 1 - of.survival(), 1 - limits.high(), 1 - limits.low(), of.atRisk(), of.events());
  }

  private static long atRisk(List<Followed> followed, int day) {
    return followed.stream().filter(one -> one.time() >= day).mapToLong(Followed::people).sum();
  }
}
