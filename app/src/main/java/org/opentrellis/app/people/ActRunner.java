package org.opentrellis.app.people;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.app.storage.StorageWatch;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.retry.RetryException;
import org.springframework.core.retry.RetryPolicy;
import org.springframework.core.retry.RetryTemplate;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries acts out, one after another, behind whoever asked for them. What was under way when the
 * application stopped goes on at its next start.
 */
@Component
class ActRunner {
  private final ActMapper mapper;
  private final TransactionTemplate transaction;
  private final StorageWatch storage;
  private final Map<ActKind, ActWork> works;
  private final Map<Long, String> failures = new ConcurrentHashMap<>();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(task -> new Thread(task, "acts"));

  /** Somebody may add, or hold, one of the people of a piece at the same moment. */
  private final RetryTemplate again =
      new RetryTemplate(
          RetryPolicy.builder()
              .includes(DuplicateKeyException.class, PessimisticLockingFailureException.class)
              .maxRetries(20)
              .delay(Duration.ofMillis(50))
              .build());

  private volatile boolean closing;

  ActRunner(
      ActMapper mapper,
      TransactionTemplate transaction,
      StorageWatch storage,
      List<ActWork> works) {
    this.mapper = mapper;
    this.transaction = transaction;
    this.storage = storage;
    this.works = works.stream().collect(Collectors.toMap(ActWork::kind, Function.identity()));
  }

  @EventListener(ApplicationReadyEvent.class)
  void goOn() {
    mapper.underWay().forEach(this::begin);
  }

  /** Carries one out once those before it are through. */
  Future<?> begin(long act) {
    failures.remove(act);
    return worker.submit(() -> run(act));
  }

  /** The same, and waits a moment for it: what is quick need not be asked about again. */
  void beginAndWait(long act, long millis) {
    try {
      begin(act).get(millis, TimeUnit.MILLISECONDS);
    } catch (TimeoutException goesOn) {
      // it is asked about later
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /** Carries out all that is under way, and returns when it is over. */
  void finish() {
    for (long act : mapper.underWay()) {
      try {
        begin(act).get();
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
        return;
      } catch (ExecutionException impossible) {
        throw new IllegalStateException(impossible);
      }
    }
  }

  /** Why an act does not go on; null if nothing is in its way. */
  @Nullable String failure(long act) {
    return failures.get(act);
  }

  /** Carries one out at once, whatever else is under way; for what is small. */
  void runHere(long act) {
    failures.remove(act);
    run(act);
  }

  private void run(long id) {
    try {
      boolean more = true;
      while (more && !closing) {
        more =
            Boolean.TRUE.equals(
                again.execute(() -> transaction.execute(status -> piece(id, status))));
      }
    } catch (RetryException tried) {
      fail(id, tried.getCause());
    } catch (RuntimeException failed) {
      fail(id, failed);
    }
  }

  private void fail(long id, Throwable failure) {
    failures.put(
        id,
        storage
            .failed(failure)
            .map(StorageTrouble.Kind::sentence)
            .orElseGet(() -> Incident.noted(failure).sentence()));
  }

  private boolean piece(long id, TransactionStatus status) {
    Act act = mapper.find(id).orElseThrow();
    if (act.state().isOver()) {
      return false;
    }
    ActWork work = works.get(act.kind());
    Act after = act.state() == ActState.UNDER_WAY ? work.forward(act) : work.back(act);
    if (mapper.move(after, act.state()) == 0) {
      // Somebody takes it back from now on: this piece is left out.
      status.setRollbackOnly();
      return true;
    }
    return !after.state().isOver();
  }

  @PreDestroy
  void close() {
    closing = true;
    Quietly.end(worker);
  }
}
