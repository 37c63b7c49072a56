package org.opentrellis.core.check;

import java.util.Optional;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Severity;

/**
 * A problem found in a journey.
 *
 * @param code the check's stable name
 * @param severity an error forbids opening the journey, a warning does not
 * @param step where it is; empty for the whole journey
 * @param sentence what is wrong and why it matters, with the figure that shows it
 * @param fix a way to mend it, if there is one
 */
public record Finding(
    String code, Severity severity, Optional<StepId> step, String sentence, Optional<Fix> fix) {

  /**
   * A way to mend a finding.
   *
   * @param label what a button that does it says
   * @param mended the journey after it
   */
  public record Fix(String label, Journey mended) {}
}
