package org.opentrellis.core.proofreading;

import java.util.Optional;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.Severity;

/**
 * A problem found in a message.
 *
 * @param code the check's stable name
 * @param severity an error forbids opening a journey that sends it, a warning does not
 * @param part where it is; empty for the head, or for the whole
 * @param sentence what is wrong and why it matters, with the figure that shows it
 * @param fix a way to mend it, if there is one
 */
public record MessageFinding(
    String code,
    Severity severity,
    Optional<PartId> part,
    String sentence,
    Optional<MessageFix> fix) {

  /**
   * A way to mend a finding.
   *
   * @param label what a button that does it says
   * @param mended the message after it
   */
  public record MessageFix(String label, Manuscript mended) {}

  static MessageFinding error(String code, Optional<PartId> part, String sentence) {
    return new MessageFinding(code, Severity.ERROR, part, sentence, Optional.empty());
  }

  static MessageFinding warning(String code, Optional<PartId> part, String sentence) {
    return new MessageFinding(code, Severity.WARNING, part, sentence, Optional.empty());
  }

  static MessageFinding note(String code, Optional<PartId> part, String sentence) {
    return new MessageFinding(code, Severity.NOTE, part, sentence, Optional.empty());
  }

  /** The same with a way to mend it. */
  MessageFinding fixedBy(String label, Manuscript mended) {
    return new MessageFinding(
        code, severity, part, sentence, Optional.of(new MessageFix(label, mended)));
  }
}
