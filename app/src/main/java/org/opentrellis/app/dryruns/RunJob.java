package org.opentrellis.app.dryruns;

import java.util.concurrent.atomic.LongAdder;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;

/** A run on its way: counts who is through, and stops when it is told to. Safe for many threads. */
final class RunJob implements RunControl {
  final long number;
  private final int people;
  private final LongAdder done = new LongAdder();
  private volatile RunProgress.State state = RunProgress.State.QUEUED;
  private volatile boolean stops;
  private volatile long begunNanos;
  private volatile @Nullable Long run;
  private volatile @Nullable String said;
  private volatile @Nullable String failure;

  RunJob(long number, int people) {
    this.number = number;
    this.people = people;
  }

  @Override
  public void reached(int more) {
    done.add(more);
    if (stops) {
      throw new RunCancelled();
    }
  }

  void begins() {
    if (stops) {
      throw new RunCancelled();
    }
    begunNanos = System.nanoTime();
    state = RunProgress.State.RUNNING;
  }

  void done(long kept, @Nullable String what) {
    run = kept;
    said = what;
    state = RunProgress.State.DONE;
  }

  void cancel() {
    stops = true;
  }

  void cancelled() {
    state = RunProgress.State.CANCELLED;
  }

  void failed(String why) {
    failure = why;
    state = RunProgress.State.FAILED;
  }

  RunProgress progress() {
    RunProgress.State now = state;
    int through = Math.min(people, done.intValue());
    double seconds = begunNanos == 0 ? 0 : (System.nanoTime() - begunNanos) / 1e9;
    double speed = seconds > 0 ? through / seconds : 0;
    boolean told = now == RunProgress.State.RUNNING && through > 0;
    return new RunProgress(
        number,
        now,
        people,
        through,
        Math.round(speed),
        told ? (people - through) / speed : null,
        run,
        said,
        failure);
  }
}
