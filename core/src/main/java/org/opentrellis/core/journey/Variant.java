package org.opentrellis.core.journey;

import java.util.Optional;

/**
 * One version of an email in an A/B test.
 *
 * @param id unique in the journey
 * @param subject a subject of its own, instead of the message's
 * @param percent of the people who get it; all variants of an email make 100
 */
public record Variant(StepId id, MessageId message, Optional<String> subject, double percent) {
  public Variant {
    subject = subject.map(text -> Text.named("a subject", text, 200));
    Text.percent(percent);
  }
}
