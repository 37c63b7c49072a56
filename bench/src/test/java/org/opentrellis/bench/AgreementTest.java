package org.opentrellis.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * The engine against a general-purpose event-list simulation of the same journey, and against a
 * loop by hand: three programs that share no code of the machine count the same, in all that there
 * is to count. A wrong wait or pull is a mile further apart than chance.
 */
class AgreementTest {
  private static final int PEOPLE = 100_000;

  private static void assertAgrees(Counts engine, Counts other) {
    Counts.Apart most = engine.distance(other, PEOPLE);
    assertThat(most.isByChance()).as(most.toString()).isTrue();
  }

  @Test
  void theEngineCountsAsThePeerDoes() {
    Counts engine = Engine.counts(PEOPLE, 3);
    assertThat(engine.compared()).isGreaterThan(2000);
    assertAgrees(engine, Peer.quickest().together(PEOPLE));
    assertAgrees(engine, Peer.quickest().oneByOne(PEOPLE));
    assertAgrees(engine, new HandLoop().run(PEOPLE, 4));
  }

  @Test
  void aWrongModelIsCaughtByAMile() {
    Counts engine = Engine.counts(PEOPLE, 3);
    // A first email that two in a hundred more open.
    assertCaught(engine, with(engine, "opened", 0, PEOPLE / 50));
    // Somewhat fewer who finish, or who take one way.
    assertCaught(engine, with(engine, "ended by day", 10, -PEOPLE / 50));
  }

  /** The same with some more, or fewer, of one thing. */
  private static Counts with(Counts counts, String what, int place, long more) {
    Map<String, long[]> changed = new HashMap<>(counts.all());
    changed.put(what, counts.all().get(what).clone());
    changed.get(what)[place] += more;
    return new Counts(changed, counts.sums());
  }

  private static void assertCaught(Counts engine, Counts wrong) {
    assertThat(engine.distance(wrong, PEOPLE).isByChance()).isFalse();
    assertThat(engine.distance(wrong, PEOPLE).standardErrors()).isGreaterThan(8);
  }
}
