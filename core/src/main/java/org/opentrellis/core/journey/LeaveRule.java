package org.opentrellis.core.journey;

import java.util.Optional;

/**
 * People leave a journey as soon as a condition holds, and may change over into another.
 *
 * @param when what makes them leave
 * @param into the journey that they are handed over to at that moment; empty if they just leave
 */
public record LeaveRule(Condition when, Optional<JourneyName> into) {
  /** They just leave. */
  public static LeaveRule as(Condition when) {
    return new LeaveRule(when, Optional.empty());
  }
}
