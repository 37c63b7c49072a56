package org.opentrellis.core.calibrate;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.opentrellis.core.behaviour.Attention;

/** How much attention goes by between two moments, in seconds of the attention clock. */
final class AttentionLag {
  private static final long WEEK_SECONDS = Attention.WEEK * 3600L;

  /** Monday 1969-12-29T00:00, in seconds. */
  private static final long A_MONDAY = -3L * 86_400;

  private final Attention attention;
  private final double[] before = new double[Attention.WEEK + 1];

  AttentionLag(Attention attention) {
    this.attention = attention;
    for (int hour = 0; hour < Attention.WEEK; hour++) {
      before[hour + 1] = before[hour] + attention.hours().get(hour) * 3600;
    }
  }

  double between(Instant from, Instant to, ZoneId zone) {
    return at(to, zone) - at(from, zone);
  }

  private double at(Instant moment, ZoneId zone) {
    long local = LocalDateTime.ofInstant(moment, zone).toEpochSecond(ZoneOffset.UTC) - A_MONDAY;
    long week = Math.floorDiv(local, WEEK_SECONDS);
    long second = local - week * WEEK_SECONDS;
    int hour = (int) (second / 3600);
    double inHour = attention.hours().get(hour) * (second % 3600);
    return week * before[Attention.WEEK] + before[hour] + inHour;
  }
}
