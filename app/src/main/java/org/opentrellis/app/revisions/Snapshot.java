package org.opentrellis.app.revisions;

import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;

/** The newest picture of something that is kept in the database. Safe for many threads. */
public final class Snapshot<T> {
  private final AtomicReference<@Nullable Taken<T>> newest = new AtomicReference<>();

  /**
   * A picture.
   *
   * @param number the number of its revision
   */
  record Taken<T>(long number, T value) {}

  @Nullable Taken<T> last() {
    return newest.get();
  }

  void keep(Taken<T> taken) {
    newest.accumulateAndGet(
        taken, (now, other) -> now != null && now.number() >= other.number() ? now : other);
  }
}
