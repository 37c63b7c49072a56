package org.opentrellis.core.dryrun;

import java.util.stream.IntStream;
import org.opentrellis.core.stats.Pairs;

/**
 * Compares two journeys person by person: with the same seed, person n is the same person in both
 * (common random numbers), so most of the chance between the two cancels out.
 */
public final class PairedDryRun {
  private static final int PARTITIONS = 8;

  private final DryRun first;
  private final DryRun second;

  /**
   * @param first one run
   * @param second the other, of as many people and with the same seed
   */
  public PairedDryRun(DryRun first, DryRun second) {
    if (first.settings().people() != second.settings().people()) {
      throw new IllegalArgumentException(
          "paired runs need the same people: "
              + first.settings().people()
              + " against "
              + second.settings().people());
    }
    this.first = first;
    this.second = second;
  }

  /** How many people met the goal in both, in one alone and in none. */
  public Pairs goalMet() {
    return IntStream.range(0, PARTITIONS)
        .parallel()
        .mapToObj(this::part)
        .reduce(Pairs.NONE, Pairs::plus);
  }

  private Pairs part(int part) {
    DryRun.PersonOutcome one = first.outcomes();
    DryRun.PersonOutcome two = second.outcomes();
    int from = (int) ((long) first.settings().people() * part / PARTITIONS);
    int to = (int) ((long) first.settings().people() * (part + 1) / PARTITIONS);
    long[] counts = new long[4];
    for (int person = from; person < to; person++) {
      counts[(one.goalMet(person) ? 0 : 2) + (two.goalMet(person) ? 0 : 1)]++;
    }
    return new Pairs(counts[0], counts[1], counts[2], counts[3]);
  }
}
