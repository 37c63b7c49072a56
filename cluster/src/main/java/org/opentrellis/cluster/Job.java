package org.opentrellis.cluster;

import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.apache.spark.api.java.JavaSparkContext;
import org.apache.spark.util.LongAccumulator;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;

/**
 * Something that a cluster is asked to do, watched and stopped from here.
 *
 * @param through adds up the people of the parts that are done; one that is made twice counts twice
 */
record Job(
    JavaSparkContext spark,
    String master,
    LongAccumulator through,
    int people,
    RunControl control) {
  private static final int LOOK_EVERY_MILLIS = 200;

  /**
   * Does it, and tells meanwhile how many people are through.
   *
   * @throws RunCancelled if the control says so
   */
  <T> T await(Supplier<T> what) {
    String name = UUID.randomUUID().toString();
    CompletableFuture<T> done = new CompletableFuture<>();
    Thread.ofVirtual()
        .start(
            () -> {
              try {
                spark.setJobGroup(name, "Open Trellis", true);
                done.complete(what.get());
              } catch (Throwable failed) { // Spark throws what it does not declare
                done.completeExceptionally(failed);
              }
            });
    try {
      return await(done);
    } catch (RunCancelled cancelled) {
      spark.cancelJobGroup(name);
      throw cancelled;
    }
  }

  private <T> T await(CompletableFuture<T> done) {
    int told = 0;
    while (true) {
      try {
        T result = done.get(LOOK_EVERY_MILLIS, TimeUnit.MILLISECONDS);
        tell(told, people);
        return result;
      } catch (TimeoutException stillAtIt) {
        told = tell(told, (int) Math.min(people, through.value()));
      } catch (ExecutionException failed) {
        throw SparkClusters.trouble(master, failed.getCause());
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
        throw new RunCancelled();
      }
    }
  }

  private int tell(int told, int now) {
    control.reached(Math.max(0, now - told));
    return Math.max(told, now);
  }
}
