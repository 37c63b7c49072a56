package org.opentrellis.core.search;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.vary.VariedRun;

/** A variation in the race. */
final class Trial {
  final Variation variation;
  final VariedRun plan;
  private volatile @Nullable Scores scores;
  private @Nullable String dropped;

  Trial(Variation variation, VariedRun plan) {
    this.variation = variation;
    this.plan = plan;
  }

  void scored(Scores other) {
    scores = other;
  }

  boolean isScored() {
    return scores != null;
  }

  Scores scores() {
    Scores now = scores;
    if (now == null) {
      throw new IllegalStateException("not tried yet");
    }
    return now;
  }

  int people() {
    return scores().figures().people();
  }

  /** It is out of the race. */
  void drop(String why) {
    dropped = why;
  }

  /** Why it is out of the race; null if it is not. */
  @Nullable String dropped() {
    return dropped;
  }
}
