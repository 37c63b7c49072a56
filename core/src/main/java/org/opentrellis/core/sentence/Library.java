package org.opentrellis.core.sentence;

import java.util.HashMap;
import java.util.Map;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;

/** What the ids in a journey are called: its messages by id, its sends by step. */
final class Library {
  private final Map<MessageId, Message> messages = new HashMap<>();
  private final Map<StepId, Step.Send> sends = new HashMap<>();
  private final Catalogue catalogue;

  /**
   * @param expanded the journey with the steps of its strands in place
   */
  Library(Journey expanded, Catalogue catalogue) {
    this.catalogue = catalogue;
    catalogue.messages().forEach(message -> messages.put(message.id(), message));
    expanded.sends().forEach(send -> sends.put(send.id(), send));
  }

  /** The message's name, and that it is sent under a subject of its own if so. */
  String nameOf(Step.Send send) {
    String name = nameOf(send.message());
    boolean ownSubject = send instanceof Step.SendEmail email && email.subject().isPresent();
    return ownSubject ? name + ", new subject" : name;
  }

  String nameOf(MessageId id) {
    Message message = messages.get(id);
    return message == null ? "a missing message" : message.name();
  }

  String nameOf(StepId step) {
    Step.Send send = sends.get(step);
    return send == null ? "a missing email" : nameOf(send);
  }

  String nameOf(StrandId id) {
    return catalogue.strand(id).map(Strand::name).orElse("a missing strand");
  }
}
