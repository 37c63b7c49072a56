package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.List;

/**
 * How many variations are tried with how many people. Few are all tried with everybody. Of many, a
 * sample begins with a sixteenth of the people; the better half stays and goes on with twice as
 * many (successive halving: Karnin, Koren and Somekh 2013, "Almost optimal exploration in
 * multi-armed bandits", ICML; cited from memory).
 *
 * @param all whether every variation is tried
 * @param begin how many are tried at first
 * @param people for each round
 */
record Schedule(boolean all, int begin, List<Integer> people) {
  /** How many rivals of the best come in after each round. */
  static final int NEWCOMERS = 12;

  /** How many are tried around the best at the end, at most. */
  static final int AROUND_THE_BEST = 60;

  private static final int FEW = 150;
  private static final long FEW_RUNS = 3_000_000;
  private static final int SAMPLE = 192;
  private static final int ROUNDS = 4;
  private static final int FEWEST = 500;

  static Schedule of(long combinations, int people) {
    if (combinations <= FEW && combinations * people <= FEW_RUNS) {
      return new Schedule(true, (int) combinations, List.of(people));
    }
    List<Integer> rounds = new ArrayList<>();
    for (int round = 0; round < ROUNDS; round++) {
      int some = people >> ROUNDS - round;
      if (some >= FEWEST) {
        rounds.add(some);
      }
    }
    rounds.add(people);
    return new Schedule(false, (int) Math.min(combinations, SAMPLE), rounds);
  }

  /** How many go on after a round. */
  static int stay(int tried) {
    return Math.max(8, (tried + 1) / 2);
  }

  int tries() {
    return all ? begin : begin + (people.size() - 1) * NEWCOMERS + AROUND_THE_BEST / 3;
  }

  long personRuns() {
    long runs = 0;
    int tried = begin;
    for (int some : people) {
      runs += (long) tried * some;
      tried = Math.min(tried, stay(tried)) + NEWCOMERS;
    }
    return all ? runs : runs + AROUND_THE_BEST / 3L * people.get(people.size() - 1);
  }
}
