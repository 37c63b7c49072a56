package org.opentrellis.core.entrance;

import org.opentrellis.core.problem.Severity;

/**
 * A problem found in an entrance.
 *
 * @param code the check's stable name
 * @param severity with an error nobody can come in, with a warning they can
 * @param sentence what is wrong and why it matters
 */
public record EntranceFinding(String code, Severity severity, String sentence) {
  static EntranceFinding error(String code, String sentence) {
    return new EntranceFinding(code, Severity.ERROR, sentence);
  }

  static EntranceFinding warning(String code, String sentence) {
    return new EntranceFinding(code, Severity.WARNING, sentence);
  }
}
