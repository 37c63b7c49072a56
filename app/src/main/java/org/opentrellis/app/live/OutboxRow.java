package org.opentrellis.app.live;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.StepId;

/**
 * A message that goes out to somebody, or went.
 *
 * @param version the edition whose plan sends it
 * @param variant of the step's variants, the one; null if it has none
 * @param dueAt when the journey sent it
 * @param tryAt when it is tried next
 * @param said what the server said last, or why it was called off
 * @param again whether it may have gone out twice
 */
record OutboxRow(
    long id,
    long personId,
    long journeyId,
    int version,
    int visit,
    String step,
    @Nullable String variant,
    String messageId,
    Channel channel,
    long dueAt,
    State state,
    int tries,
    long tryAt,
    @Nullable Long sentAt,
    @Nullable String said,
    boolean again) {

  enum Channel {
    EMAIL,
    TEXT
  }

  enum State {
    WAITING,
    /** Handed over; nobody has noted what came of it. */
    ON_ITS_WAY,
    SENT,
    /** The server does not take it, now or ever. */
    REFUSED,
    CALLED_OFF
  }

  MessageRef message() {
    return new MessageRef(LiveNames.of(journeyId), visit, new StepId(step));
  }
}
