package org.opentrellis.app.news;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.news.NewsSeries;

/**
 * A series as it is kept. Moments are epoch seconds.
 *
 * @param nextAt when the next issue goes; null while it is off
 * @param dueAt when something is to be done about it next
 * @param since nothing that was posted before it is new
 * @param people how many got the last issue, or were to get it when it was turned on
 */
record NewsRow(
    long id,
    String document,
    int version,
    @Nullable Long nextAt,
    @Nullable Long dueAt,
    boolean skipsNext,
    long since,
    long people) {

  NewsSeries series() {
    return Documents.readNewsSeries(Json.tree(document));
  }

  boolean isOn() {
    return nextAt != null;
  }

  Instant from() {
    return Instant.ofEpochSecond(since);
  }
}
