package org.opentrellis.core.newsletter;

import org.opentrellis.core.problem.Severity;

/**
 * A problem found in a newsletter.
 *
 * @param code the check's stable name
 * @param severity with an error it cannot be planned, with a warning it can
 * @param place what it is about, as a JSON Pointer into the newsletter
 * @param sentence what is wrong, and what to do
 */
public record NewsletterFinding(String code, Severity severity, String place, String sentence) {
  static NewsletterFinding error(String code, String place, String sentence) {
    return new NewsletterFinding(code, Severity.ERROR, place, sentence);
  }

  static NewsletterFinding warning(String code, String place, String sentence) {
    return new NewsletterFinding(code, Severity.WARNING, place, sentence);
  }
}
