package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Editions;
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
  private final GuestMapper guests;
  private final OutsideHappenings people;
  private final PutOff putOff;
  private final AccountClock clock;

  TurnPiece(
      Turns turns,
      GuestMapper guests,
      OutsideHappenings people,
      PutOff putOff,
      AccountClock clock) {
    this.turns = turns;
    this.guests = guests;
    this.people = people;
    this.putOff = putOff;
    this.clock = clock;
  }

  /** Each at the moment at which it is due, or now if that has passed unseen. */
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  @Transactional
  public void take(List<LifeMapper.Due> some) {
    Editions editions = turns.editions();
    boolean tried = putOff.any();
    Set<Long> simulated =
        guests.among(some.stream().map(LifeMapper.Due::personId).toArray(Long[]::new));
    for (LifeMapper.Due one : some) {
      long person = one.personId();
      long moment = moment(one.nextAt());
      boolean guest = simulated.contains(person);
      List<Happening> told = new ArrayList<>(tried ? putOff.told(person) : List.of());
      if (guest) {
        told.addAll(acts(person, moment));
      }
      turns.take(person, Turns.News.of(told), moment, guest, editions);
      if (guest) {
        guests.done(person, moment);
      }
      if (tried) {
        putOff.over(person);
      }
    }
    turns.againIfChanged(editions, some.stream().map(LifeMapper.Due::personId).toList());
  }

  /** What simulated people do of themselves. */
  private List<Happening> acts(long person, long moment) {
    List<Happening> acts =
        guests.acts(person, moment, false).stream()
            .map(row -> Documents.readHappening(Json.tree(row.document())))
            .toList();
    acts.forEach(act -> people.keep(person, act));
    return acts;
  }

  private long moment(long dueAt) {
    long now = clock.now();
    return now - dueAt > SEEN_SECONDS ? now : dueAt;
  }
}
