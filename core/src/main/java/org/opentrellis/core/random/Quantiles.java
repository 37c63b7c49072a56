package org.opentrellis.core.random;

/**
 * The quantiles of a {@link Bell}, from its far left to its middle, each by Newton's method from
 * the one before; so their errors stay small beside the shares even where these are tiny. Masses
 * are integrated from the density by Gauss and Legendre's rule with five points (Abramowitz and
 * Stegun 1964, table 25.4). Nothing is asked of a library, whose last bits may differ from machine
 * to machine, and a table is made some ten times quicker than by inverting one by one.
 */
final class Quantiles {
  private static final double[] NODES = {
    0, 0.538469310105683, -0.538469310105683, 0.906179845938664, -0.906179845938664
  };
  private static final double[] WEIGHTS = {
    0.568888888888889, 0.478628670499366, 0.478628670499366, 0.236926885056189, 0.236926885056189
  };
  private static final int MOST_STEPS = 50;

  /** So much smaller, as a logarithm, becomes the tail in one step, lest it leave the numbers. */
  private static final double MOST_AT_ONCE = -3;

  /** A correction so small leaves an error of its square. */
  private static final double SMALL = 1e-7;

  private static final double NOTHING = 1e-18;

  private final Bell bell;
  private final double logTop;

  private Quantiles(Bell bell) {
    this.bell = bell;
    logTop = bell.logAt(bell.top());
  }

  /**
   * @param shares ascending, in (0, 1/2]
   * @return the points to whose left so much lies
   */
  static double[] of(Bell bell, double[] shares) {
    Quantiles left = new Quantiles(bell);
    double all = left.tail(bell.top()) + new Quantiles(bell.mirrored()).tail(-bell.top());
    double[] points = new double[shares.length];
    points[0] = left.outermost(shares[0] * all);
    for (int i = 1; i < shares.length; i++) {
      points[i] = left.next(points[i - 1], (shares[i] - shares[i - 1]) * all);
    }
    return points;
  }

  /** By Newton's method on the logarithm of the tail, which bends one way only. */
  private double outermost(double mass) {
    double at = bell.top();
    for (int step = 0; step < MOST_STEPS; step++) {
      double tail = tail(at);
      double less = Math.max(MOST_AT_ONCE, StrictMath.log(mass / tail));
      double correction = less * tail / density(at);
      at += correction;
      if (Math.abs(correction) < SMALL * Math.max(1, Math.abs(at))) {
        break;
      }
    }
    return at;
  }

  /** What lies to the left, in panels on which the density does not change by much. */
  private double tail(double from) {
    double sum = 0;
    double at = from;
    while (true) {
      double width = 0.5 / (Math.abs(bell.slopeAt(at)) + Math.sqrt(bell.curvatureAt(at)));
      double panel = between(at - width, at);
      sum += panel;
      at -= width;
      if (panel < NOTHING * sum) {
        return sum;
      }
    }
  }

  /** Where so much lies between here and there. */
  private double next(double from, double mass) {
    double width = mass / density(from);
    double to = from + width - width * width * bell.slopeAt(from) / 2;
    for (int step = 0; step < MOST_STEPS; step++) {
      double correction = (mass - between(from, to)) / density(to);
      to += Math.max(-1, Math.min(1, correction));
      if (Math.abs(correction) < SMALL * Math.max(1, Math.abs(to))) {
        break;
      }
    }
    return to;
  }

  private double between(double from, double to) {
    double half = (to - from) / 2;
    double middle = (to + from) / 2;
    double sum = 0;
    for (int i = 0; i < NODES.length; i++) {
      sum += WEIGHTS[i] * density(middle + half * NODES[i]);
    }
    return half * sum;
  }

  /** 1 at the top. */
  private double density(double t) {
    return StrictMath.exp(bell.logAt(t) - logTop);
  }
}
