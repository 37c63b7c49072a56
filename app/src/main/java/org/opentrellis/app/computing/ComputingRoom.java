package org.opentrellis.app.computing;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Function;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.core.dryrun.Effort;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Computes one thing after another in each lane, beside everything else that is asked of the
 * application. Nothing computes on a request's thread or inside a transaction.
 */
@Component
public class ComputingRoom {
  /** More than so many in a lane's queue are refused. */
  public static final int LONGEST_QUEUE = 20;

  private static final Duration REFUSED_FOR = Duration.ofSeconds(5);
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(2);
  private static final int REMEMBERED = 100;

  private final Map<Lane, ThreadPoolExecutor> lanes = new EnumMap<>(Lane.class);
  private final Set<Task<?>> unfinished = ConcurrentHashMap.newKeySet();
  private final int processors = Runtime.getRuntime().availableProcessors();

  /** What was asked lately, so that what is asked twice is computed once. */
  private final AsyncCache<Object, Object> lately =
      Caffeine.newBuilder()
          .maximumSize(REMEMBERED)
          .expireAfterAccess(Duration.ofMinutes(15))
          .buildAsync();

  /** Opens the room; {@link #close} is its end. */
  public ComputingRoom() {
    for (Lane lane : Lane.values()) {
      lanes.put(
          lane,
          new ThreadPoolExecutor(
              1,
              1,
              0,
              TimeUnit.SECONDS,
              new ArrayBlockingQueue<>(LONGEST_QUEUE),
              work -> new Thread(work, "computing-" + lane.name().toLowerCase(Locale.ROOT))));
    }
  }

  /**
   * Begins a computation, or queues it.
   *
   * @param work gets how much of the machine it may take, and is watched by that
   * @throws Refusal if the queue is full
   */
  public <T> Task<T> begin(Lane lane, Function<Effort, T> work) {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("nothing is computed while a transaction is open");
    }
    Task<T> task = new Task<>(work, lane.threads(processors));
    unfinished.add(task);
    task.result().whenComplete((done, failed) -> unfinished.remove(task));
    try {
      Objects.requireNonNull(lanes.get(lane)).execute(task);
    } catch (RejectedExecutionException full) {
      task.leaves();
      throw new Refusal(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-much-to-compute",
          "%d computations are waiting already. Stop one of them, or try again in a moment."
              .formatted(LONGEST_QUEUE),
          REFUSED_FOR);
    }
    return task;
  }

  /**
   * Computes something, or gives what was computed for the same key lately; what is asked again
   * while it is under way is computed once.
   *
   * @param key says all that the outcome depends on
   * @return completes with the outcome, or with what went wrong
   * @throws Refusal if the queue is full
   */
  @SuppressWarnings("unchecked")
  public <T> CompletableFuture<T> compute(Object key, Lane lane, Function<Effort, T> work) {
    return (CompletableFuture<T>)
        lately
            .get(key, (same, threads) -> (CompletableFuture<Object>) begin(lane, work).result())
            .copy();
  }

  /** Stops a computation as soon as may be; one that is over stays as it is. */
  public void stop(Task<?> task) {
    task.stop();
    lanes.values().stream().filter(lane -> lane.remove(task)).forEach(lane -> task.leaves());
  }

  /**
   * Waits for what cannot be told without it.
   *
   * @throws Refusal if it takes too long
   */
  public static <T> T await(CompletableFuture<T> outcome) {
    try {
      return outcome.get(LONGEST_WAIT.toSeconds(), TimeUnit.SECONDS);
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException why) {
        throw why;
      }
      throw new IllegalStateException("a computation failed", failed.getCause());
    } catch (TimeoutException late) {
      throw stillComputing();
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw stillComputing();
    }
  }

  private static Refusal stillComputing() {
    return new Refusal(
        HttpStatus.SERVICE_UNAVAILABLE,
        "still-computing",
        "This is still being worked out. Look again in a minute.",
        Duration.ofMinutes(1));
  }

  /** Stops all there is. */
  @PreDestroy
  public void close() {
    unfinished.forEach(this::stop);
    lanes.values().forEach(Quietly::end);
  }
}
