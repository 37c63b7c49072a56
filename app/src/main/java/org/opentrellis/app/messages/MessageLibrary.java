package org.opentrellis.app.messages;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.revisions.CatalogueChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageContent;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The messages that journeys send. */
@Service
@Transactional
public class MessageLibrary {
  private final MessageMapper mapper;
  private final Revisions revisions;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  MessageLibrary(
      MessageMapper mapper, Revisions revisions, ApplicationEventPublisher events, Clock clock) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.events = events;
    this.clock = clock;
  }

  /** All messages, in the order they were written. */
  public List<Message> all() {
    return mapper.all().stream().map(MessageLibrary::message).toList();
  }

  List<MessageView> views() {
    return mapper.all().stream().map(MessageLibrary::view).toList();
  }

  /**
   * Adds a message; its id is made from its name.
   *
   * @throws ProblemsFound if something in it is wrong
   * @throws NameTaken if another message is called so
   */
  @AgainIfTaken
  public MessageView add(MessageEdit edit) {
    revisions.hold();
    Message message = read(freeId(edit.name()), edit);
    requireFree(message);
    insert(message);
    return view(find(message.id().value()));
  }

  /**
   * Adds a message under the id that it has, as it comes with a journey file; if its name is taken,
   * with a number behind.
   */
  public void keep(Message message) {
    revisions.hold();
    insert(named(message));
  }

  private Message named(Message message) {
    List<String> taken =
        all().stream().filter(one -> !one.id().equals(message.id())).map(Message::name).toList();
    return message.named(FreeName.of(message.name(), taken));
  }

  private void requireFree(Message message) {
    mapper
        .named(message.name())
        .filter(row -> !row.id().equals(message.id().value()))
        .ifPresent(
            row -> {
              throw NameTaken.of("message", message.name(), "/name");
            });
  }

  /** Puts a message in the place of the one of its id; if its name is taken, likewise. */
  public void replace(Message message) {
    revisions.hold();
    int version = find(message.id().value()).version();
    if (!update(named(message), version)) {
      throw new SaveLost(
          "Somebody else has saved \u201c%s\u201d just now. Try again.".formatted(message.name()),
          view(find(message.id().value())),
          Documents.write(message));
    }
  }

  /**
   * Saves a message over the version it was read at, or writes it if it has none and is not there.
   *
   * @throws SaveLost if somebody else has saved since
   * @throws NameTaken if another message is called so
   */
  @AgainIfTaken
  public MessageView save(String id, MessageEdit edit) {
    revisions.hold();
    boolean anew = edit.version() == null && mapper.find(id).isEmpty();
    if (!anew) {
      find(id);
    }
    Message message = read(id, edit);
    requireFree(message);
    if (anew) {
      insert(message);
      return view(find(id));
    }
    int version = edit.version() == null ? 0 : edit.version();
    if (!update(message, version)) {
      throw new SaveLost(
          "Somebody else has saved this message since you opened it.", view(find(id)), edit);
    }
    return view(find(id));
  }

  /** Every save of a message, the newest first. */
  List<MessageView> versions(String id) {
    find(id);
    return mapper.versions(id).stream().map(MessageLibrary::view).toList();
  }

  private void insert(Message message) {
    MessageRow row = row(message, 1);
    mapper.insert(row);
    mapper.keepVersion(row, OffsetDateTime.now(clock));
    changed(message);
  }

  private void changed(Message message) {
    revisions.grow(Revisions.Kind.CATALOGUE);
    events.publishEvent(new CatalogueChanged(message.id()));
  }

  /** Whether nobody else has saved since that version. */
  private boolean update(Message message, int version) {
    boolean inTime = mapper.update(row(message, version)) > 0;
    if (inTime) {
      mapper.keepVersion(row(message, version + 1), OffsetDateTime.now(clock));
      changed(message);
    }
    return inTime;
  }

  private MessageRow find(String id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("message", id));
  }

  private MessageRow row(Message message, int version) {
    List<String> links = message.links().stream().map(LinkName::value).toList();
    return new MessageRow(
        message.id().value(),
        message.name(),
        message.channel(),
        message.headline(),
        Json.write(links),
        message.voucher(),
        version,
        OffsetDateTime.now(clock));
  }

  private static Message read(String id, MessageEdit edit) {
    ObjectNode document = JsonNodeFactory.instance.objectNode();
    document.put("id", id);
    document.put("name", edit.name());
    document.set("content", edit.content());
    edit.links().forEach(document.withArray("links")::add);
    document.put("voucher", edit.voucher());
    return Documents.readMessage(document);
  }

  private String freeId(@Nullable String name) {
    String base = (name == null ? "" : name).toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    base = base.replaceAll("^-+|-+$", "");
    base = base.isEmpty() ? "message" : base.substring(0, Math.min(30, base.length()));
    String id = base;
    for (int n = 2; mapper.find(id).isPresent(); n++) {
      id = base + "-" + n;
    }
    return id;
  }

  private static Message message(MessageRow row) {
    List<LinkName> links = links(row).stream().map(LinkName::new).toList();
    return new Message(new MessageId(row.id()), row.name(), content(row), links, row.voucher());
  }

  private static MessageContent content(MessageRow row) {
    return switch (row.channel()) {
      case EMAIL -> new MessageContent.Email(row.headline());
      case TEXT -> new MessageContent.Text(row.headline());
    };
  }

  private static MessageView view(MessageRow row) {
    return new MessageView(
        row.id(),
        row.name(),
        Documents.write(message(row)).get("content"),
        links(row),
        row.voucher(),
        row.version());
  }

  private static List<String> links(MessageRow row) {
    return List.of(Json.read(row.links(), String[].class));
  }
}
