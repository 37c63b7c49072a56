package org.opentrellis.app.live;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes the turns that are due, many in one transaction: each writes a little here and there, and
 * what lies side by side is written once.
 */
@Service
class TurnBatch {
  private static final int MOST = 400;

  private final LifeMapper lives;
  private final OutboxMapper outbox;
  private final GuestMapper guests;
  private final PutOffMapper tried;
  private final PutOff putOff;
  private final TurnPiece piece;

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
    OneByOne.ifNeedBe(
        due,
        piece::take,
        (one, failed) -> putOff.until(one.personId(), one.nextAt(), List.of(), failed));
    return due.size();
  }
}
