package org.opentrellis.core.sentence;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/** What the ids in a journey are called: its messages by id, its emails by step. */
final class Library {
  private final Map<MessageId, Message> messages = new HashMap<>();
  private final Map<StepId, Step.SendEmail> emails = new HashMap<>();

  Library(Journey journey, List<Message> messages) {
    messages.forEach(message -> this.messages.put(message.id(), message));
    journey.emails().forEach(email -> emails.put(email.id(), email));
  }

  /** The message's name, and that it is sent under a subject of its own if so. */
  String nameOf(Step.SendEmail send) {
    Message message = messages.get(send.message());
    String name = message == null ? "a missing message" : message.name();
    return send.subject().isPresent() ? name + ", new subject" : name;
  }

  String nameOf(StepId email) {
    Step.SendEmail send = emails.get(email);
    return send == null ? "a missing email" : nameOf(send);
  }
}
