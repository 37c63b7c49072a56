package org.opentrellis.app.messages;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.SeenByJourneys;

/**
 * A message as it is written.
 *
 * @param labels by which it is found in the library
 * @param starter that it was begun from
 */
public record Written(
    MessageId id,
    String name,
    List<String> labels,
    Manuscript manuscript,
    @Nullable String starter) {
  public Written {
    labels = List.copyOf(labels);
  }

  /** One of which only that is known which journeys see. */
  static Written begin(Message message) {
    return new Written(
        message.id(), message.name(), List.of(), SeenByJourneys.begin(message), null);
  }

  /** The same after what journeys see of it was changed. */
  Written take(Message message) {
    return new Written(
        id, message.name(), labels, SeenByJourneys.take(manuscript, message), starter);
  }

  Written named(String other) {
    return new Written(id, other, labels, manuscript, starter);
  }

  Written under(MessageId other) {
    return new Written(other, name, labels, manuscript, starter);
  }

  Written with(Manuscript other) {
    return new Written(id, name, labels, other, starter);
  }

  /** What journeys see of it. */
  public Message seen() {
    return SeenByJourneys.of(id, name, manuscript);
  }
}
