package org.opentrellis.core.journey;

import java.util.Arrays;
import java.util.List;
import org.opentrellis.core.problem.Refused;

/**
 * A message as the journey sees it.
 *
 * @param name what the team calls it
 * @param links the links in it that a condition can ask about
 * @param voucher whether it gives something off
 */
public record Message(
    MessageId id, String name, MessageContent content, List<LinkName> links, boolean voucher) {
  private static final int MOST_LINKS = 60;

  public Message {
    name = Text.named("a message's name", name, 80);
    links = List.copyOf(links);
    if (links.size() > MOST_LINKS) {
      throw new Refused("a message has at most " + MOST_LINKS + " links");
    }
    if (links.stream().distinct().count() != links.size()) {
      throw new Refused("a message must not name a link twice");
    }
  }

  /** How it reaches people. */
  public Channel channel() {
    return content.channel();
  }

  /** The line that it is known by: an email's subject, the words of a text. */
  public String headline() {
    return switch (content) {
      case MessageContent.Email email -> email.subject();
      case MessageContent.Text text -> text.words();
    };
  }

  /** The same under another name. */
  public Message named(String other) {
    return new Message(id, other, content, links, voucher);
  }

  /** An email that gives nothing off. */
  public static Message email(String id, String name, String subject, String... links) {
    return of(id, name, new MessageContent.Email(subject), links);
  }

  /** A text that gives nothing off. */
  public static Message text(String id, String name, String words, String... links) {
    return of(id, name, new MessageContent.Text(words), links);
  }

  private static Message of(String id, String name, MessageContent content, String... links) {
    return new Message(
        new MessageId(id), name, content, Arrays.stream(links).map(LinkName::new).toList(), false);
  }
}
