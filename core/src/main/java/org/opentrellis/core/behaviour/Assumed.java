package org.opentrellis.core.behaviour;

import java.util.Optional;
import org.opentrellis.core.problem.Refused;

/**
 * A value that the model assumes, and where it comes from.
 *
 * @param value finite
 * @param measured how sure it is, if it was measured
 */
public record Assumed(double value, Origin origin, Optional<Measured> measured) {
  public Assumed {
    if (!Double.isFinite(value)) {
      throw new Refused("an assumption must be a finite number, not " + value);
    }
  }

  public static Assumed typical(double value) {
    return new Assumed(value, Origin.TYPICAL, Optional.empty());
  }

  public static Assumed byHand(double value) {
    return new Assumed(value, Origin.BY_HAND, Optional.empty());
  }

  public static Assumed measured(double value, Measured how) {
    return new Assumed(value, Origin.MEASURED, Optional.of(how));
  }

  /**
   * @return this, if it is a share
   * @throws Refused unless 0 <= value <= 1
   */
  Assumed share(String what) {
    if (value < 0 || value > 1) {
      throw new Refused(what + " must be between 0 and 1, not " + value);
    }
    return this;
  }

  /**
   * @return this, if it is positive
   * @throws Refused unless value > 0
   */
  Assumed positive(String what) {
    if (!(value > 0)) {
      throw new Refused(what + " must be more than 0, not " + value);
    }
    return this;
  }
}
