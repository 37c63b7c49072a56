package org.opentrellis.core.random;

/**
 * A distribution on the whole line whose density has one hill and falls away on both sides at least
 * as fast as an exponential (a log-concave one), up to a factor. Reckoned with {@link StrictMath}:
 * bit for bit the same on every machine.
 */
interface Bell {
  /** The density's logarithm, up to a summand. */
  double logAt(double t);

  /** The derivative of {@link #logAt}: positive to the left of {@link #top}, negative behind it. */
  double slopeAt(double t);

  /** Minus the derivative of {@link #slopeAt}: more than 0. */
  double curvatureAt(double t);

  double top();

  /** The same seen from the other side. */
  default Bell mirrored() {
    Bell original = this;
    return new Bell() {
      @Override
      public double logAt(double t) {
        return original.logAt(-t);
      }

      @Override
      public double slopeAt(double t) {
        return -original.slopeAt(-t);
      }

      @Override
      public double curvatureAt(double t) {
        return original.curvatureAt(-t);
      }

      @Override
      public double top() {
        return -original.top();
      }
    };
  }

  /** The standard normal distribution. */
  record Normal() implements Bell {
    @Override
    public double logAt(double t) {
      return -t * t / 2;
    }

    @Override
    public double slopeAt(double t) {
      return -t;
    }

    @Override
    public double curvatureAt(double t) {
      return 1;
    }

    @Override
    public double top() {
      return 0;
    }
  }

  /** The logit of a beta distribution, on whose scale the density has no poles. */
  record BetaLogit(double alpha, double beta) implements Bell {
    @Override
    public double logAt(double t) {
      return alpha * logShare(t) + beta * logShare(-t);
    }

    @Override
    public double slopeAt(double t) {
      return alpha * share(-t) - beta * share(t);
    }

    @Override
    public double curvatureAt(double t) {
      return (alpha + beta) * share(t) * share(-t);
    }

    @Override
    public double top() {
      return StrictMath.log(alpha / beta);
    }

    private static double logShare(double t) {
      double log = StrictMath.log1p(StrictMath.exp(-Math.abs(t)));
      return t < 0 ? t - log : -log;
    }

    /** The inverse of the logit. */
    static double share(double t) {
      return 1 / (1 + StrictMath.exp(-t));
    }
  }
}
