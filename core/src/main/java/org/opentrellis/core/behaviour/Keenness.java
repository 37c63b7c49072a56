package org.opentrellis.core.behaviour;

import org.opentrellis.core.problem.Refused;

/**
 * How gladly the people of a group open email. Each person's keenness is drawn from a beta
 * distribution with {@code a = m(1/rho - 1)} and {@code b = (1-m)(1/rho - 1)}.
 *
 * @param mean m, the mean chance of opening a usual email, in (0, 1)
 * @param spread rho, how much people differ, in (0, 1): near 0 all alike, near 1 always or never
 */
public record Keenness(double mean, double spread) {
  public Keenness {
    requireInside("a group's keenness", mean);
    requireInside("a group's spread", spread);
  }

  /** The beta distribution's first parameter. */
  public double alpha() {
    return mean * (1 / spread - 1);
  }

  /** The beta distribution's second parameter. */
  public double beta() {
    return (1 - mean) * (1 / spread - 1);
  }

  private static void requireInside(String what, double value) {
    if (!(value >= 0.001 && value <= 0.999)) {
      throw new Refused(what + " must be between 0.001 and 0.999, not " + value);
    }
  }
}
