package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes the turns that are due, some in one transaction, different people's at the same time. */
@Service
class TurnBatch implements DisposableBean {
  private static final int MOST = 400;
  private static final int PIECE = 50;

  private final LifeMapper lives;
  private final OutboxMapper outbox;
  private final TurnPiece piece;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(2, Thread.ofPlatform().name("turns-", 0).factory());

  TurnBatch(LifeMapper lives, OutboxMapper outbox, TurnPiece piece) {
    this.lives = lives;
    this.outbox = outbox;
    this.piece = piece;
  }

  @Transactional
  int tryAgain() {
    return outbox.tryAgain();
  }

  List<LifeMapper.Due> due(long until) {
    return lives.due(until, MOST);
  }

  /** How many turns were taken. */
  long take(List<LifeMapper.Due> due) {
    if (due.isEmpty()) {
      return 0;
    }
    List<Future<?>> under = new ArrayList<>();
    for (int from = 0; from < due.size(); from += PIECE) {
      List<LifeMapper.Due> some = due.subList(from, Math.min(due.size(), from + PIECE));
      under.add(hands.submit(() -> piece.take(some)));
    }
    for (Future<?> one : under) {
      finish(one);
    }
    return due.size();
  }

  private static void finish(Future<?> one) {
    try {
      one.get();
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(stop);
    } catch (ExecutionException failed) {
      if (failed.getCause() instanceof RuntimeException why) {
        throw why;
      }
      throw new IllegalStateException(failed);
    }
  }

  @Override
  public void destroy() {
    hands.shutdown();
  }
}
