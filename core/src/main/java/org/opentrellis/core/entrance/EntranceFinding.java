package org.opentrellis.core.entrance;

import java.util.Optional;
import org.opentrellis.core.problem.Severity;

/**
 * A problem found in an entrance.
 *
 * @param code the check's stable name
 * @param severity with an error nobody can come in, with a warning they can
 * @param sentence what is wrong and why it matters
 * @param mend what would mend it, if one change does
 */
public record EntranceFinding(
    String code, Severity severity, String sentence, Optional<Mend> mend) {

  /**
   * A change that mends it.
   *
   * @param words what the button says
   * @param entrance as it is then
   */
  public record Mend(String words, Entrance entrance) {}

  static EntranceFinding error(String code, String sentence) {
    return new EntranceFinding(code, Severity.ERROR, sentence, Optional.empty());
  }

  static EntranceFinding warning(String code, String sentence) {
    return new EntranceFinding(code, Severity.WARNING, sentence, Optional.empty());
  }

  EntranceFinding mendedBy(String words, Entrance entrance) {
    return new EntranceFinding(code, severity, sentence, Optional.of(new Mend(words, entrance)));
  }
}
