package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;

/**
 * How far a run is.
 *
 * @param job what it is asked about by
 * @param people how many go through in all
 * @param done of them
 * @param peoplePerSecond so far; 0 before it has begun
 * @param secondsLeft as it looks now; null before that can be told
 * @param run the run, once it is done and kept
 * @param said what came of it, for a run that was made again; null else
 * @param failure why it failed; null unless it did
 */
public record RunProgress(
    long job,
    State state,
    int people,
    int done,
    long peoplePerSecond,
    @Nullable Double secondsLeft,
    @Nullable Long run,
    @Nullable String said,
    @Nullable String failure) {

  /** Where it stands. */
  public enum State {
    QUEUED,
    RUNNING,
    DONE,
    CANCELLED,
    FAILED
  }

  boolean isOver() {
    return state == State.DONE || state == State.CANCELLED || state == State.FAILED;
  }
}
