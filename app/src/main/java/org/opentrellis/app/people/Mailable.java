package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.BitSet;
import java.util.List;
import org.opentrellis.core.journey.Condition;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whom a condition means of those to whom something may be sent. */
@Service
@Transactional(readOnly = true)
public class Mailable {
  private final Crowd crowd;
  private final PeopleMapper people;

  Mailable(Crowd crowd, PeopleMapper people) {
    this.crowd = crowd;
    this.people = people;
  }

  /** Their numbers, as of now. */
  public BitSet meant(Condition who) {
    return numbers(crowd.meant(who).and(crowd.mayBeMailed()));
  }

  /** Everybody to whom something may be sent. */
  public BitSet all() {
    return numbers(crowd.mayBeMailed());
  }

  /** Of some people, to how many texts may be sent. */
  public int agreedToTexts(BitSet some) {
    BitSet those = numbers(crowd.agreedToTexts());
    those.and(some);
    return those.cardinality();
  }

  private BitSet numbers(Those these) {
    BitSet numbers = new BitSet();
    crowd.numbers(these).forEach(number -> numbers.set(Math.toIntExact(number)));
    return numbers;
  }

  /** The zones that people live or have lived in. */
  public List<ZoneId> zones() {
    return people.zones().stream().map(ZoneId::of).toList();
  }
}
