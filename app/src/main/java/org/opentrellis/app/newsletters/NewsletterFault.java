package org.opentrellis.app.newsletters;

import java.util.List;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.problem.Severity;

/** A problem of something that goes to many, as users are told of it. */
public record NewsletterFault(String code, Severity severity, String place, String sentence) {
  public static List<NewsletterFault> of(List<NewsletterFinding> found) {
    return found.stream()
        .map(one -> new NewsletterFault(one.code(), one.severity(), one.place(), one.sentence()))
        .toList();
  }
}
