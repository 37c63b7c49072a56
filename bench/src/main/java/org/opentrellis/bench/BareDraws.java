package org.opentrellis.bench;

import org.opentrellis.core.random.Draws;

/** Nothing but the numbers that the journey needs: 2 for a person and some 3 for an email. */
final class BareDraws {
  private static final int A_PERSON = 15;

  private BareDraws() {}

  static double run(int people, long seed) {
    double sum = 0;
    long run = Draws.runKey(seed);
    for (int person = 0; person < people; person++) {
      long key = Draws.personKey(run, person);
      for (int draw = 0; draw < A_PERSON; draw++) {
        sum += Draws.uniform(key, draw);
      }
    }
    return sum;
  }
}
