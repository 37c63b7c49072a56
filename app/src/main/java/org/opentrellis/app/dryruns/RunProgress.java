package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.Task;

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
    Task.State state,
    int people,
    int done,
    long peoplePerSecond,
    @Nullable Double secondsLeft,
    @Nullable Long run,
    @Nullable String said,
    @Nullable String failure) {

  /**
   * How far a task is that makes a run.
   *
   * @param people how many go through in all
   */
  static RunProgress of(
      long job, Task<RunDesk.Outcome> task, int people, @Nullable String failure) {
    Task.State now = task.state();
    int through = Math.min(people, task.through());
    double seconds = task.seconds();
    double speed = seconds > 0 ? through / seconds : 0;
    boolean told = now == Task.State.RUNNING && through > 0;
    RunDesk.Outcome outcome = now == Task.State.DONE ? task.result().resultNow() : null;
    return new RunProgress(
        job,
        now,
        people,
        through,
        Math.round(speed),
        told ? (people - through) / speed : null,
        outcome == null ? null : outcome.run(),
        outcome == null ? null : outcome.said(),
        failure);
  }
}
