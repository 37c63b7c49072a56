package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.opentrellis.app.storage.Quietly;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes the turns that are due, some in one transaction, different people's at the same time. */
@Service
class TurnBatch implements DisposableBean {
  private static final int MOST = 400;
  private static final int PIECE = 100;

  private final LifeMapper lives;
  private final OutboxMapper outbox;
  private final GuestMapper guests;
  private final PutOffMapper tried;
  private final PutOff putOff;
  private final TurnPiece piece;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(2, Thread.ofPlatform().name("turns-", 0).factory());

  TurnBatch(
      LifeMapper lives,
      OutboxMapper outbox,
      GuestMapper guests,
      PutOffMapper tried,
      PutOff putOff,
      TurnPiece piece) {
    this.lives = lives;
    this.outbox = outbox;
    this.guests = guests;
    this.tried = tried;
    this.putOff = putOff;
    this.piece = piece;
  }

  @Transactional
  int tryAgain() {
    return outbox.tryAgain();
  }

  /** Who has a turn, each once and at the first moment at which they have. */
  List<LifeMapper.Due> due(long until) {
    List<LifeMapper.Due> waiting = lives.due(until, MOST);
    List<LifeMapper.Due> acting = guests.due(until, MOST);
    List<LifeMapper.Due> again = tried.due(until, MOST);
    long known = Math.min(Math.min(end(waiting), end(acting)), end(again));
    Map<Long, Long> first = new HashMap<>();
    waiting.forEach(one -> first.merge(one.personId(), one.nextAt(), Math::min));
    acting.forEach(one -> first.merge(one.personId(), one.nextAt(), Math::min));
    again.forEach(one -> first.merge(one.personId(), one.nextAt(), Math::min));
    return first.entrySet().stream()
        .filter(one -> one.getValue() <= known)
        .map(one -> new LifeMapper.Due(one.getKey(), one.getValue()))
        .sorted(
            Comparator.comparingLong(LifeMapper.Due::nextAt)
                .thenComparingLong(LifeMapper.Due::personId))
        .toList();
  }

  /** Up to when a list has everybody. */
  private static long end(List<LifeMapper.Due> list) {
    return list.size() < MOST ? Long.MAX_VALUE : list.getLast().nextAt();
  }

  /** How many turns were taken. */
  long take(List<LifeMapper.Due> due) {
    if (due.isEmpty()) {
      return 0;
    }
    List<Future<?>> under = new ArrayList<>();
    for (int from = 0; from < due.size(); from += PIECE) {
      List<LifeMapper.Due> some = due.subList(from, Math.min(due.size(), from + PIECE));
      under.add(hands.submit(() -> takeOrPutOff(some)));
    }
    for (Future<?> one : under) {
      finish(one);
    }
    return due.size();
  }

  private void takeOrPutOff(List<LifeMapper.Due> some) {
    OneByOne.ifNeedBe(
        some,
        piece::take,
        (one, failed) -> putOff.until(one.personId(), one.nextAt(), List.of(), failed));
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
    Quietly.end(hands);
  }
}
