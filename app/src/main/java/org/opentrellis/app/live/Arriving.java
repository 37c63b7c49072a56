package org.opentrellis.app.live;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.SegmentName;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Has people come whom time brings, some in one transaction. Simulated people come by themselves.
 */
@Component
@Transactional
class Arriving {
  private final Turns turns;
  private final LifeMapper lives;
  private final GuestMapper guests;
  private final SegmentMemberMapper members;

  Arriving(Turns turns, LifeMapper lives, GuestMapper guests, SegmentMemberMapper members) {
    this.turns = turns;
    this.lives = lives;
    this.guests = guests;
    this.members = members;
  }

  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  void come(List<Long> people, Happening came, long now) {
    Set<Long> simulated = guests.among(people.toArray(Long[]::new));
    take(people.stream().filter(person -> !simulated.contains(person)), came, now);
  }

  /** Only those of whom no journey knows: the others find out for themselves. */
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  void comeUnknown(List<Long> people, Happening came, long now) {
    Set<Long> known = lives.among(people.toArray(Long[]::new));
    take(people.stream().filter(person -> !known.contains(person)), came, now);
  }

  private void take(Stream<Long> people, Happening came, long now) {
    turns.take(people.map(person -> new Turns.Asked(person, List.of(came), now)).toList());
  }

  /** Notes who is in a segment now, and tells who was not in it when it was looked at last. */
  Set<Long> newMembers(long journey, SegmentName segment, Set<Long> now) {
    Set<Long> before = new HashSet<>(members.of(journey, segment.value()));
    Set<Long> fresh = new HashSet<>(now);
    fresh.removeAll(before);
    Set<Long> gone = new HashSet<>(before);
    gone.removeAll(now);
    if (!gone.isEmpty()) {
      members.remove(journey, segment.value(), gone.toArray(Long[]::new));
    }
    if (!fresh.isEmpty()) {
      members.add(journey, segment.value(), fresh.toArray(Long[]::new));
    }
    return fresh;
  }
}
