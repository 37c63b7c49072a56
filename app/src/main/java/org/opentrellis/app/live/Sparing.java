package org.opentrellis.app.live;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.people.HowOften;

/** Those who want email only so often, and from when on they may be mailed again. */
final class Sparing {
  private final Map<Long, HowOften> wishes;
  private final Map<Long, Long> mailed = new HashMap<>();

  Sparing(Map<Long, KnownPeople.Reach> reach) {
    wishes =
        reach.entrySet().stream()
            .filter(one -> one.getValue().howOften() != HowOften.AS_IT_COMES)
            .collect(Collectors.toMap(Map.Entry::getKey, one -> one.getValue().howOften()));
  }

  Set<Long> whom() {
    return wishes.keySet();
  }

  /** What somebody of them chose. */
  String words(long person) {
    return wishes.get(person).words();
  }

  /** Somebody is mailed at a moment, in epoch seconds. */
  void mailed(long person, long at) {
    mailed.merge(person, at, Math::max);
  }

  /** When somebody may be mailed again, in epoch seconds. */
  long from(long person) {
    return wishes.containsKey(person) && mailed.containsKey(person)
        ? mailed.get(person) + wishes.get(person).between().toSeconds()
        : Long.MIN_VALUE;
  }
}
