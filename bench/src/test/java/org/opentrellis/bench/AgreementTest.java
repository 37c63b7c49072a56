package org.opentrellis.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * The engine against a general-purpose event-list simulation of the same journey, and against a
 * loop by hand: three programs that share no code of the machine count the same. A sound pair is
 * further apart in one of its 16 counts once in 100,000 times; a wrong wait or pull is a mile
 * further.
 */
class AgreementTest {
  private static final int PEOPLE = 100_000;
  private static final double BOUND = 5.0;

  @Test
  void theEngineCountsAsThePeerDoes() {
    Counts engine = Engine.run(PEOPLE, 3, 1);
    assertThat(engine.distance(Peer.quickest().together(PEOPLE), PEOPLE)).isLessThan(BOUND);
    assertThat(engine.distance(new HandLoop().run(PEOPLE, 4), PEOPLE)).isLessThan(BOUND);
  }

  @Test
  void aWrongModelIsCaughtByAMile() {
    Counts engine = Engine.run(PEOPLE, 3, 1);
    long[] fewer = engine.entered().clone();
    fewer[Reference.EMAIL_1] -= PEOPLE / 50; // a first email that two in a hundred more open
    assertThat(engine.distance(new Counts(fewer, engine.goal()), PEOPLE))
        .isGreaterThan(1.5 * BOUND);
  }
}
