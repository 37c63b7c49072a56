package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;

/** The messages of an account, and those that a text that is being read brings along. */
final class Written {
  private static final int LONGEST_ID = 30;

  private final Catalogue there;
  private final List<Message> added = new ArrayList<>();

  Written(Catalogue there) {
    this.there = there;
  }

  /** What is there, with what the text brings along. */
  Catalogue catalogue() {
    List<Message> all = new ArrayList<>();
    there.messages().forEach(one -> all.add(find(one.id()).orElse(one)));
    added.stream().filter(one -> there.message(one.id()).isEmpty()).forEach(all::add);
    return new Catalogue(all, there.strands(), there.segments());
  }

  /** Those that are brought along: new ones, and others with more in them. */
  List<Message> added() {
    return List.copyOf(added);
  }

  Optional<Message> find(MessageId id) {
    return added.stream()
        .filter(one -> one.id().equals(id))
        .findFirst()
        .or(() -> there.message(id));
  }

  /** Brings a message along that has one link more. */
  void addLink(MessageId id, LinkName link) {
    Message message = find(id).orElseThrow();
    List<LinkName> links = new ArrayList<>(message.links());
    if (!links.contains(link)) {
      links.add(link);
      added.removeIf(one -> one.id().equals(id));
      added.add(new Message(id, message.name(), message.content(), links, message.voucher()));
    }
  }

  /** The messages that go to mailboxes, or to phones. */
  List<Message> all(boolean texts) {
    return catalogue().messages().stream()
        .filter(message -> (message.channel() == Channel.TEXT) == texts)
        .toList();
  }

  /** The n-th message of a name, from 1. */
  Optional<MessageId> find(String name, int nth, boolean text) {
    return all(text).stream()
        .filter(message -> message.name().equalsIgnoreCase(name))
        .skip(nth - 1L)
        .findFirst()
        .map(Message::id);
  }

  /**
   * Brings a message along: an email with its name as its subject, or a text with it as its words.
   */
  MessageId write(String name, boolean text, String... links) {
    String id = freeId(name);
    Message message =
        text ? Message.text(id, name, name, links) : Message.email(id, name, name, links);
    added.add(message);
    return message.id();
  }

  private String freeId(String name) {
    String base = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    base = base.replaceAll("^-+|-+$", "");
    base = base.isEmpty() ? "message" : base.substring(0, Math.min(LONGEST_ID, base.length()));
    String id = base;
    for (int n = 2; find(new MessageId(id)).isPresent(); n++) {
      id = base + "-" + n;
    }
    return id;
  }
}
