package org.opentrellis.core.journey;

import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * A message as the journey sees it; its layout comes later.
 *
 * @param name what the team calls it
 * @param channel email or text
 * @param subject the subject line of an email, the words of a text
 * @param links the links in it that a condition can ask about
 * @param voucher whether it gives something off
 */
public record Message(
    MessageId id,
    String name,
    Channel channel,
    String subject,
    List<LinkName> links,
    boolean voucher) {
  private static final int MOST_LINKS = 20;

  public Message {
    name = Text.named("a message's name", name, 80);
    subject =
        channel == Channel.EMAIL
            ? Text.named("a subject", subject, 200)
            : Text.named("a text", subject, 1000);
    links = List.copyOf(links);
    if (links.size() > MOST_LINKS) {
      throw new Refused("a message has at most " + MOST_LINKS + " links");
    }
    if (links.stream().distinct().count() != links.size()) {
      throw new Refused("a message must not name a link twice");
    }
  }

  /** The same under another name. */
  public Message named(String other) {
    return new Message(id, other, channel, subject, links, voucher);
  }

  /** An email that gives nothing off. */
  public static Message email(String id, String name, String subject, String... links) {
    return new Message(
        new MessageId(id),
        name,
        Channel.EMAIL,
        subject,
        java.util.Arrays.stream(links).map(LinkName::new).toList(),
        false);
  }
}
