package org.opentrellis.core.journey;

import java.util.List;

/**
 * An email as the journey sees it; its text comes later.
 *
 * @param name what the team calls it
 * @param subject the subject line
 * @param links the links in it that a condition can ask about
 */
public record Message(MessageId id, String name, String subject, List<LinkName> links) {
  public Message {
    name = Text.named("a message's name", name, 80);
    subject = Text.named("a subject", subject, 200);
    links = List.copyOf(links);
    if (links.stream().distinct().count() != links.size()) {
      throw new IllegalArgumentException("a message must not name a link twice");
    }
  }
}
