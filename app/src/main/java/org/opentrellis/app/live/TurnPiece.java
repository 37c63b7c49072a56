package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.longs;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.core.happening.Happening;
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
    boolean tried = putOff.any();
    List<LifeMapper.Due> moments =
        some.stream().map(one -> new LifeMapper.Due(one.personId(), moment(one.nextAt()))).toList();
    List<LifeMapper.Due> simulated = simulated(moments);
    Map<Long, List<Happening>> acts = acts(simulated);
    turns.take(
        moments.stream()
            .map(
                one -> {
                  long person = one.personId();
                  List<Happening> told = new ArrayList<>(tried ? putOff.told(person) : List.of());
                  told.addAll(acts.getOrDefault(person, List.of()));
                  return new Turns.Asked(person, told, one.nextAt());
                })
            .toList());
    if (!simulated.isEmpty()) {
      guests.done(
          longs(simulated, LifeMapper.Due::personId), longs(simulated, LifeMapper.Due::nextAt));
    }
    if (tried) {
      some.forEach(one -> putOff.over(one.personId()));
    }
  }

  private List<LifeMapper.Due> simulated(List<LifeMapper.Due> all) {
    Set<Long> simulated = guests.among(longs(all, LifeMapper.Due::personId));
    return all.stream().filter(one -> simulated.contains(one.personId())).toList();
  }

  /** What simulated people do of themselves. */
  private Map<Long, List<Happening>> acts(List<LifeMapper.Due> simulated) {
    Map<Long, Long> moments =
        simulated.stream()
            .collect(Collectors.toMap(LifeMapper.Due::personId, LifeMapper.Due::nextAt));
    if (moments.isEmpty()) {
      return Map.of();
    }
    Map<Long, List<Happening>> acts = new HashMap<>();
    for (GuestMapper.ActRow row :
        guests.acts(
            moments.keySet().toArray(Long[]::new), Collections.max(moments.values()), false)) {
      if (row.at() <= Objects.requireNonNull(moments.get(row.personId()))) {
        Happening act = row.act();
        people.keep(row.personId(), act);
        acts.computeIfAbsent(row.personId(), none -> new ArrayList<>()).add(act);
      }
    }
    return acts;
  }

  private long moment(long dueAt) {
    long now = clock.now();
    return now - dueAt > SEEN_SECONDS ? now : dueAt;
  }
}
