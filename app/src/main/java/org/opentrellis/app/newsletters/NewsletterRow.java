package org.opentrellis.app.newsletters;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.newsletter.Newsletter;

/**
 * A newsletter as it is kept, under the number of the journey that it runs as. Moments are epoch
 * seconds.
 *
 * @param people how many were to get it when it was planned
 * @param dueAt when something is to be done about it next
 * @param decideAt when the better subject goes to the rest
 * @param lastAt when it comes to the last
 * @param better which subject was the better one
 * @param verdict why, in words
 */
record NewsletterRow(
    long journeyId,
    String document,
    int version,
    State state,
    @Nullable Long people,
    @Nullable Long dueAt,
    @Nullable Long firstAt,
    @Nullable Long decideAt,
    @Nullable Long lastAt,
    @Nullable Integer better,
    @Nullable String verdict,
    long changedAt) {

  /** What was done with it last. */
  enum State {
    DRAFT,
    PLANNED,
    CALLED_BACK
  }

  Newsletter newsletter() {
    return Documents.readNewsletter(Json.tree(document));
  }

  boolean isPlanned() {
    return state == State.PLANNED;
  }

  /** Whether it has begun to go out. */
  boolean hasBegun(long now) {
    return state != State.DRAFT && firstAt != null && firstAt <= now;
  }
}
