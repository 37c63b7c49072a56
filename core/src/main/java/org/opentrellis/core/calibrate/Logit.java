package org.opentrellis.core.calibrate;

/** Shares on a scale without ends, on which likelihoods are searched. */
final class Logit {
  private Logit() {}

  /** The share in (0, 1) of a number. */
  static double inverse(double t) {
    return 1 / (1 + Math.exp(-t));
  }
}
