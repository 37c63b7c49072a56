package org.opentrellis.app.messages;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.revisions.CatalogueChanged;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
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
    return mapper.all().stream().map(MessageRows::message).toList();
  }

  List<MessageView> views() {
    return mapper.all().stream().map(MessageRows::view).toList();
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
    requireFree(message.id(), message.name());
    insert(Written.begin(message));
    return MessageRows.view(find(message.id().value()));
  }

  /**
   * Adds a message under the id that it has, as it comes with a journey file; if its name is taken,
   * with a number behind.
   */
  public void keep(Message message) {
    keep(Written.begin(message));
  }

  /** Adds a message that is written out, under an id made from its name, which may get a number. */
  @AgainIfTaken
  public MessageSheet begin(String name, Manuscript manuscript, @Nullable String starter) {
    revisions.hold();
    MessageId id = new MessageId(freeId(name));
    keep(new Written(id, name, List.of(), manuscript, starter));
    return MessageRows.sheet(find(id.value()));
  }

  /** The same for one that is written out. */
  public void keep(Written written) {
    revisions.hold();
    insert(named(written));
  }

  private Written named(Written written) {
    List<String> taken =
        all().stream().filter(one -> !one.id().equals(written.id())).map(Message::name).toList();
    return written.named(FreeName.of(written.name(), taken));
  }

  private void requireFree(MessageId id, String name) {
    mapper
        .named(name)
        .filter(row -> !row.id().equals(id.value()))
        .ifPresent(
            row -> {
              throw NameTaken.of("message", name, "/name");
            });
  }

  /**
   * Puts what journeys see of a message in the place of what they saw; if its name is taken,
   * likewise.
   */
  public void replace(Message message) {
    replace(MessageRows.written(find(message.id().value())).take(message));
  }

  /** Puts another name and other words in the place of a message's. */
  public void replace(MessageId id, String name, Manuscript manuscript) {
    replace(written(id).named(name).with(manuscript));
  }

  /** The same for one that is written out. */
  public void replace(Written written) {
    revisions.hold();
    MessageRow row = find(written.id().value());
    if (!update(named(written), row.version())) {
      throw new SaveLost(
          "Somebody else has saved \u201c%s\u201d just now. Try again.".formatted(written.name()),
          MessageRows.view(find(written.id().value())),
          Documents.write(written.seen()));
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
    requireFree(message.id(), message.name());
    if (anew) {
      insert(Written.begin(message));
      return MessageRows.view(find(id));
    }
    int version = edit.version() == null ? 0 : edit.version();
    if (!update(MessageRows.written(find(id)).take(message), version)) {
      throw new SaveLost(
          "Somebody else has saved this message since you opened it.",
          MessageRows.view(find(id)),
          edit);
    }
    return MessageRows.view(find(id));
  }

  /**
   * A message as it is written.
   *
   * @throws NotFound if there is none
   */
  public Written written(MessageId id) {
    return MessageRows.written(find(id.value()));
  }

  /** A message as it is written, if it is there. */
  public Optional<Written> find(MessageId id) {
    return mapper.find(id.value()).map(MessageRows::written);
  }

  /** Some messages as they are written; those that are not there are left out. */
  public List<Written> written(Collection<MessageId> ids) {
    return ids.stream()
        .flatMap(id -> mapper.find(id.value()).stream())
        .map(MessageRows::written)
        .toList();
  }

  MessageSheet sheet(String id) {
    return MessageRows.sheet(find(id));
  }

  /**
   * Saves a message as it is written over the version it was read at.
   *
   * @throws SaveLost if somebody else has saved since
   * @throws NameTaken if another message is called so
   * @throws ProblemsFound if something in it cannot be
   */
  @AgainIfTaken
  public MessageSheet save(String id, MessageDraft draft) {
    revisions.hold();
    find(id);
    Written written = WrittenReading.of(id, draft);
    requireFree(written.id(), written.name());
    if (!update(written, draft.version())) {
      throw new SaveLost(
          "Somebody else has saved this message since you opened it.",
          MessageRows.sheet(find(id)),
          draft);
    }
    return MessageRows.sheet(find(id));
  }

  /** Another message that says the same. */
  @AgainIfTaken
  public MessageSheet copy(String id) {
    revisions.hold();
    Written of = MessageRows.written(find(id));
    String copy = freeId(of.name());
    keep(of.under(new MessageId(copy)));
    return MessageRows.sheet(find(copy));
  }

  /** Puts a message away, or brings it back. What is away is still sent by what sends it. */
  MessageSheet archive(String id, boolean away) {
    revisions.hold();
    find(id);
    mapper.archive(id, away ? OffsetDateTime.now(clock) : null);
    revisions.grow(Revisions.Kind.CATALOGUE);
    return MessageRows.sheet(find(id));
  }

  /** What each save changed, the newest first. */
  List<MessageVersionLine> history(String id) {
    find(id);
    return MessageHistory.of(mapper.versions(id).stream().map(MessageLibrary::saved).toList());
  }

  private static MessageHistory.Saved saved(MessageRow row) {
    return new MessageHistory.Saved(row.version(), row.createdAt(), MessageRows.written(row));
  }

  /** A save of a message as it was written. */
  MessageSheet version(String id, int version) {
    return MessageRows.sheet(
        mapper.version(id, version).orElseThrow(() -> NotFound.of("version", version)));
  }

  /** Every save of a message, the newest first. */
  List<MessageView> versions(String id) {
    find(id);
    return mapper.versions(id).stream().map(MessageRows::view).toList();
  }

  private void insert(Written written) {
    MessageRow row = MessageRows.of(written, 1, OffsetDateTime.now(clock));
    mapper.insert(row);
    mapper.keepVersion(row);
    changed(written.id());
  }

  private void changed(MessageId id) {
    revisions.grow(Revisions.Kind.CATALOGUE);
    events.publishEvent(new CatalogueChanged(id));
  }

  /** Whether nobody else has saved since that version. */
  private boolean update(Written written, int version) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    boolean inTime = mapper.update(MessageRows.of(written, version, now)) > 0;
    if (inTime) {
      mapper.keepVersion(MessageRows.of(written, version + 1, now));
      changed(written.id());
    }
    return inTime;
  }

  private MessageRow find(String id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("message", id));
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
}
