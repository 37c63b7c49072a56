package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.storage.Quietly;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Does what is due for different people at the same time. */
@Component
class TwoHands implements DisposableBean {
  private static final int FEW = 20;

  private final ExecutorService hands =
      Executors.newFixedThreadPool(2, Thread.ofPlatform().name("due-", 0).factory());

  /**
   * Does all of it, and waits for all, also if some of it fails.
   *
   * @return what came of each, in order
   * @throws RuntimeException what the first failed with that failed
   */
  <T> List<T> all(List<Supplier<T>> works) {
    List<Future<T>> under = works.stream().map(work -> hands.submit(work::get)).toList();
    List<T> done = new ArrayList<>();
    @Nullable RuntimeException failed = null;
    for (Future<T> one : under) {
      try {
        done.add(one.get());
      } catch (InterruptedException stop) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(stop);
      } catch (ExecutionException failure) {
        if (failed == null) {
          failed =
              failure.getCause() instanceof RuntimeException why
                  ? why
                  : new IllegalStateException(failure);
        }
      }
    }
    if (failed != null) {
      throw failed;
    }
    return done;
  }

  /**
   * Does many small things, a half with each hand; few of them at once.
   *
   * @param works that read and write nothing
   * @return what came of each, in order
   */
  <T> List<T> each(List<Supplier<T>> works) {
    if (works.size() < FEW) {
      return works.stream().map(Supplier::get).toList();
    }
    int half = works.size() / 2;
    return all(
            List.<Supplier<List<T>>>of(
                () -> works.subList(0, half).stream().map(Supplier::get).toList(),
                () -> works.subList(half, works.size()).stream().map(Supplier::get).toList()))
        .stream()
        .flatMap(List::stream)
        .toList();
  }

  @Override
  public void destroy() {
    Quietly.end(hands);
  }
}
