package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.StrandId;

/**
 * What the ids in a journey are called: its messages by id, its sends by step. Where several go by
 * one name, they are counted.
 */
public final class Library {
  private final Catalogue catalogue;
  private final List<Step.Send> sends;
  private final Map<StepId, String> emails = new HashMap<>();
  private final Map<MessageId, String> messages = new HashMap<>();
  private final Map<StrandId, String> strands = new HashMap<>();
  private final Map<MessageId, String> names = new HashMap<>();

  /**
   * @param expanded the journey with the steps of its strands in place
   */
  public Library(Journey expanded, Catalogue catalogue) {
    this.catalogue = catalogue;
    this.sends = expanded.sends();
    catalogue.messages().forEach(message -> names.put(message.id(), message.name()));
    Counted<MessageId> ofMessages = new Counted<>(messages);
    catalogue.messages().forEach(message -> ofMessages.add(message.id(), message.name()));
    ofMessages.label();
    Counted<StrandId> ofStrands = new Counted<>(strands);
    catalogue.strands().forEach(strand -> ofStrands.add(strand.id(), strand.name()));
    ofStrands.label();
    Counted<StepId> ofEmails = new Counted<>(emails);
    sends.forEach(send -> ofEmails.add(send.id(), nameOf(send)));
    ofEmails.label();
  }

  /** Gives the first of a name “name”, and if there are more, each “the nth “name””. */
  private static final class Counted<T> {
    private final Map<T, String> labels;
    private final Map<String, List<T>> byName = new HashMap<>();

    Counted(Map<T, String> labels) {
      this.labels = labels;
    }

    void add(T thing, String name) {
      byName.computeIfAbsent(name, one -> new ArrayList<>()).add(thing);
    }

    void label() {
      byName.forEach(
          (name, all) -> {
            for (int i = 0; i < all.size(); i++) {
              String which = all.size() == 1 ? "" : "the " + Style.ordinal(i + 1) + " ";
              labels.put(all.get(i), which + Style.quoted(name));
            }
          });
    }
  }

  /** The sends of the journey, in order. */
  public List<Step.Send> sends() {
    return sends;
  }

  public Catalogue catalogue() {
    return catalogue;
  }

  /** The message's name, and that it is sent under a subject of its own if so. */
  public String nameOf(Step.Send send) {
    String name = nameOf(send.message());
    boolean ownSubject = send instanceof Step.SendEmail email && email.subject().isPresent();
    return ownSubject ? name + ", new subject" : name;
  }

  /** The message's name alone. */
  public String nameOf(MessageId id) {
    return names.getOrDefault(id, "a missing message");
  }

  String nameOf(StrandId id) {
    return catalogue.strand(id).map(strand -> strand.name()).orElse("a missing strand");
  }

  /** The email of a step, told apart from the others: “Planner”, the 2nd “Planner”. */
  public String email(StepId step) {
    String label = emails.get(step);
    return label == null ? "the missing email " + Style.quoted(step.value()) : label;
  }

  /** A message, told apart from the others. */
  public String message(MessageId id) {
    String label = messages.get(id);
    return label == null ? "the missing message " + Style.quoted(id.value()) : label;
  }

  /** A strand, told apart from the others. */
  public String strand(StrandId id) {
    String label = strands.get(id);
    return label == null ? "the missing strand " + Style.quoted(id.value()) : label;
  }

  /** The messages that go to mailboxes, or to phones, by what they are called. */
  public List<Message> messages(boolean texts) {
    return catalogue.messages().stream()
        .filter(m -> (m.channel() == org.opentrellis.core.journey.Channel.TEXT) == texts)
        .toList();
  }
}
