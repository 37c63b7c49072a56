package org.opentrellis.core.dryrun;

import java.util.Arrays;

/** A factor that is applied once for each thing that goes beyond a number that is liked. */
final class Powers {
  private static final int KEPT = 64;

  private final double factor;
  private final double liked;
  private final double[] kept = new double[KEPT];

  Powers(double factor, double liked) {
    this.factor = factor;
    this.liked = liked;
    Arrays.setAll(kept, this::reckoned);
  }

  /** 1 up to the number that is liked. */
  double of(int number) {
    return number < KEPT ? kept[number] : reckoned(number);
  }

  /** The same bits on every machine. */
  private double reckoned(int number) {
    return StrictMath.pow(factor, Math.max(0, number - liked));
  }
}
