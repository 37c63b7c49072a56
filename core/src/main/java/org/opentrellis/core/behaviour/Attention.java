package org.opentrellis.core.behaviour;

import java.util.Collections;
import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * When in the week people look at their mail: the attention clock runs as fast as the hour weighs.
 *
 * @param hours 168 weights from Monday 00:00 on, local time; their mean is made 1
 * @param origin where they come from
 */
public record Attention(List<Double> hours, Origin origin) {
  public static final int WEEK = 168;

  public Attention {
    if (hours.size() != WEEK) {
      throw new Refused(
          "an attention profile has 168 hours, Monday 00:00 first, not " + hours.size());
    }
    double sum = hours.stream().mapToDouble(Double::doubleValue).sum();
    if (hours.stream().anyMatch(weight -> !(weight >= 0)) || !(sum > 0)) {
      throw new Refused("the hours of an attention profile must not be negative, nor all 0");
    }
    boolean scaled = Math.abs(sum - WEEK) < 1e-9;
    hours =
        scaled ? List.copyOf(hours) : hours.stream().map(weight -> weight * WEEK / sum).toList();
  }

  /** Every hour alike. */
  public static Attention flat(Origin origin) {
    return new Attention(Collections.nCopies(WEEK, 1.0), origin);
  }

  public boolean isFlat() {
    return hours.stream().allMatch(weight -> Math.abs(weight - 1) < 1e-12);
  }
}
