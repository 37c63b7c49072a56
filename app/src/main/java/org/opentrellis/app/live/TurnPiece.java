package org.opentrellis.app.live;

import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes the turns of some people in one transaction. */
@Component
class TurnPiece {
  /** So far back somebody was there to do it when it was due. */
  private static final long SEEN_SECONDS = 5;

  private final Turns turns;
  private final AccountClock clock;

  TurnPiece(Turns turns, AccountClock clock) {
    this.turns = turns;
    this.clock = clock;
  }

  /** Each at the moment at which it is due, or now if that has passed unseen. */
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  @Transactional
  public void take(List<LifeMapper.Due> some) {
    for (LifeMapper.Due one : some) {
      turns.take(one.personId(), List.of(), moment(one.nextAt()));
    }
  }

  private long moment(long dueAt) {
    long now = clock.now();
    return now - dueAt > SEEN_SECONDS ? now : dueAt;
  }
}
