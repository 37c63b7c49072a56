package org.opentrellis.core.dryrun;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Function;

/** Does several things at once, in threads of their own. */
public final class AtOnce {
  private AtOnce() {}

  /**
   * Does something with each of some.
   *
   * @param threads as many at once; with one, it is done here
   * @return what came of each, in their order
   * @throws RunCancelled if it did, or the thread was interrupted
   */
  public static <T, R> List<R> each(List<T> some, int threads, Function<T, R> what) {
    if (threads < 2) {
      return some.stream().map(what).toList();
    }
    ExecutorService pool = Executors.newFixedThreadPool(threads);
    try {
      List<Future<R>> begun = new ArrayList<>();
      some.forEach(one -> begun.add(pool.submit(() -> what.apply(one))));
      List<R> done = new ArrayList<>();
      for (Future<R> one : begun) {
        done.add(one.get());
      }
      return done;
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException why) {
        throw why;
      }
      throw new IllegalStateException("people could not be sent through", failed);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new RunCancelled();
    } finally {
      pool.shutdownNow();
    }
  }
}
