package org.opentrellis.app.computing;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Function;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;

/**
 * A computation that is queued, under way or over: counts who is through, and stops when it is told
 * to. Safe for many threads.
 */
public final class Task<T> implements RunControl, Runnable {
  /** Where it stands. */
  public enum State {
    QUEUED,
    RUNNING,
    DONE,
    CANCELLED,
    FAILED;

    public boolean isOver() {
      return this == DONE || this == CANCELLED || this == FAILED;
    }
  }

  private final Function<Effort, T> work;
  private final int threads;
  private final LongAdder through = new LongAdder();
  private final CompletableFuture<T> result = new CompletableFuture<>();
  private volatile boolean stops;
  private volatile long begunNanos;

  Task(Function<Effort, T> work, int threads) {
    this.work = work;
    this.threads = threads;
  }

  @Override
  public void run() {
    begunNanos = System.nanoTime();
    try {
      reached(0);
      result.complete(work.apply(new Effort(threads, this)));
    } catch (RuntimeException | Error failure) {
      result.completeExceptionally(failure);
    }
  }

  @Override
  public void reached(int people) {
    through.add(people);
    if (stops) {
      throw new RunCancelled();
    }
  }

  /** Tells it to stop as soon as may be. */
  void stop() {
    stops = true;
  }

  /** It stood in the queue and will never run. */
  void leaves() {
    result.completeExceptionally(new RunCancelled());
  }

  /** Completes when it is over, with {@link RunCancelled} if it was stopped. */
  public CompletableFuture<T> result() {
    return result;
  }

  public State state() {
    return switch (result.state()) {
      case RUNNING -> begunNanos == 0 ? State.QUEUED : State.RUNNING;
      case SUCCESS -> State.DONE;
      case CANCELLED -> State.CANCELLED;
      case FAILED -> result.exceptionNow() instanceof RunCancelled ? State.CANCELLED : State.FAILED;
    };
  }

  /** How many people are through. */
  public int through() {
    return through.intValue();
  }

  /** How long it has been running; 0 before it has begun. */
  public double seconds() {
    return begunNanos == 0 ? 0 : (System.nanoTime() - begunNanos) / 1e9;
  }
}
