package org.opentrellis.core.ahead;

import java.time.LocalTime;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.stats.Confidence;

/**
 * How many messages are expected in each hour, with how far that may be off. What is added is
 * independent of what is there, so variances add up. Mutable.
 */
public final class Outlook {
  private static final double Z = Confidence.NINETY_FIVE.z();

  private final Days days;
  private final double[] mean;
  private final double[] variance;

  public Outlook(Days days) {
    this.days = days;
    this.mean = new double[days.hours()];
    this.variance = new double[days.count()];
  }

  /**
   * An expected number.
   *
   * @param low and high, its 95% band; never below 0
   */
  public record Expected(double mean, double low, double high) {
    static Expected of(double mean, double variance) {
      double half = Z * Math.sqrt(Math.max(0, variance));
      return new Expected(mean, Math.max(0, mean - half), mean + half);
    }
  }

  /** So many are expected in an hour. */
  void expect(int hour, double more) {
    mean[hour] += more;
  }

  /** What is expected on a day may be off so much more. */
  void mayBeOff(int day, double more) {
    variance[day] += more;
  }

  /**
   * What falls into the quiet hours goes out when they end, on the next day if they go over
   * midnight; what would go out after the last day is not shown.
   */
  public void holdOver(QuietHours quiet) {
    int end = quiet.to().getMinute() == 0 ? quiet.to().getHour() : quiet.to().getHour() + 1;
    for (int hour = mean.length - 1; hour >= 0; hour--) {
      int ofDay = hour % Days.HOURS;
      if (quiet.at(LocalTime.of(ofDay, 0)) && mean[hour] > 0) {
        int day = hour / Days.HOURS + (ofDay >= end ? 1 : 0);
        if (day < days.count()) {
          mean[day * Days.HOURS + end % Days.HOURS] += mean[hour];
        }
        mean[hour] = 0;
      }
    }
  }

  /** Adds what another expects. */
  public void add(Outlook other) {
    for (int hour = 0; hour < mean.length; hour++) {
      mean[hour] += other.mean[hour];
    }
    for (int day = 0; day < variance.length; day++) {
      variance[day] += other.variance[day];
    }
  }

  public Days days() {
    return days;
  }

  /** On a day, from 0. */
  public Expected on(int day) {
    double sum = 0;
    for (int hour = 0; hour < Days.HOURS; hour++) {
      sum += mean[day * Days.HOURS + hour];
    }
    return Expected.of(sum, variance[day]);
  }

  /** From one day to before another. */
  public Expected between(int from, int to) {
    double sum = 0;
    double off = 0;
    for (int day = from; day < to; day++) {
      sum += on(day).mean();
      off += variance[day];
    }
    return Expected.of(sum, off);
  }

  /** In an hour of a day. */
  public double at(int day, int hour) {
    return mean[day * Days.HOURS + hour];
  }
}
