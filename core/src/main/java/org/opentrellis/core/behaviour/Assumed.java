package org.opentrellis.core.behaviour;

/**
 * A value that the model assumes, and where it comes from.
 *
 * @param value finite
 */
public record Assumed(double value, Origin origin) {
  public Assumed {
    if (!Double.isFinite(value)) {
      throw new IllegalArgumentException("an assumption must be a finite number, not " + value);
    }
  }

  public static Assumed typical(double value) {
    return new Assumed(value, Origin.TYPICAL);
  }

  public static Assumed byHand(double value) {
    return new Assumed(value, Origin.BY_HAND);
  }

  /**
   * @return this, if it is a share
   * @throws IllegalArgumentException unless 0 <= value <= 1
   */
  Assumed share(String what) {
    if (value < 0 || value > 1) {
      throw new IllegalArgumentException(what + " must be between 0 and 1, not " + value);
    }
    return this;
  }

  /**
   * @return this, if it is positive
   * @throws IllegalArgumentException unless value > 0
   */
  Assumed positive(String what) {
    if (!(value > 0)) {
      throw new IllegalArgumentException(what + " must be more than 0, not " + value);
    }
    return this;
  }
}
