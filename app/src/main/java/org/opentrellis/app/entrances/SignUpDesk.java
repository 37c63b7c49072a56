package org.opentrellis.app.entrances;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.LinkedBlockingQueue;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Takes those who sign up at the same moment together: each waits until all of them are on the
 * disk, which takes hardly longer than one would. If one cannot be taken, each is by themselves.
 */
@Component
class SignUpDesk {
  private static final int TOGETHER = 100;
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private record Waiting(SignUps.@Nullable Sent form, CompletableFuture<Void> done) {}

  /** Behind the last one. */
  private static final Waiting END = new Waiting(null, new CompletableFuture<>());

  private final SignUps signUps;
  private final BlockingQueue<Waiting> waiting = new LinkedBlockingQueue<>();
  private final Thread worker = Thread.ofPlatform().name("sign-ups").daemon().unstarted(this::work);
  private volatile boolean closed;

  SignUpDesk(SignUps signUps) {
    this.signUps = signUps;
  }

  @PostConstruct
  void open() {
    worker.start();
  }

  /** What is being taken is finished: nobody interrupts a write to the disk. */
  @PreDestroy
  void close() {
    closed = true;
    waiting.add(END);
    try {
      worker.join(PATIENCE);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
    turnAway();
  }

  /** Comes back when the form is kept; throws what kept it from being kept. */
  void take(SignUps.Sent form) {
    Waiting one = new Waiting(form, new CompletableFuture<>());
    waiting.add(one);
    if (closed) {
      turnAway();
    }
    try {
      one.done().join();
    } catch (CompletionException failed) {
      throw failed.getCause() instanceof RuntimeException why ? why : failed;
    }
  }

  private void turnAway() {
    List<Waiting> rest = new ArrayList<>();
    waiting.drainTo(rest);
    fail(rest, new IllegalStateException("the application ends"));
  }

  private void work() {
    List<Waiting> some = new ArrayList<>();
    while (!some.contains(END)) {
      some.clear();
      try {
        some.add(waiting.take());
      } catch (InterruptedException stop) {
        return;
      }
      waiting.drainTo(some, TOGETHER - 1);
      together(some.stream().filter(one -> one != END).toList());
    }
  }

  private void together(List<Waiting> some) {
    if (some.isEmpty()) {
      return;
    }
    try {
      signUps.take(some.stream().map(Waiting::form).toList());
      some.forEach(one -> one.done().complete(null));
    } catch (RuntimeException | Error failed) {
      if (some.size() == 1) {
        fail(some, failed);
      } else {
        some.forEach(one -> together(List.of(one)));
      }
    }
  }

  private static void fail(List<Waiting> some, Throwable why) {
    some.forEach(one -> one.done().completeExceptionally(why));
  }
}
