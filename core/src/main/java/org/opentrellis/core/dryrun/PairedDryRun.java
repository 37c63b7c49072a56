package org.opentrellis.core.dryrun;

import org.opentrellis.core.stats.Pairs;

/**
 * Compares two journeys person by person: with the same seed, person n is the same person in both
 * (common random numbers), so most of the chance between the two cancels out.
 */
public final class PairedDryRun {
  private final DryRun first;
  private final DryRun second;
  private final int firstJourney;
  private final int secondJourney;

  /** The first journey of each. */
  public PairedDryRun(DryRun first, DryRun second) {
    this(first, 0, second, 0);
  }

  /**
   * @param first one run
   * @param firstJourney which of its journeys
   * @param second the other, of as many people and with the same seed
   */
  public PairedDryRun(DryRun first, int firstJourney, DryRun second, int secondJourney) {
    if (first.settings().people() != second.settings().people()) {
      throw new IllegalArgumentException(
          "paired runs need the same people: "
              + first.settings().people()
              + " against "
              + second.settings().people());
    }
    this.first = first;
    this.second = second;
    this.firstJourney = firstJourney;
    this.secondJourney = secondJourney;
  }

  /**
   * How many people met the goal in any of their visits in both, in one alone and in none; without
   * those who are held out or enter in neither.
   *
   * @throws RunCancelled if the control says so
   */
  public Pairs goalMet(Effort effort) {
    return Outcomes.of(first, firstJourney, effort)
        .against(Outcomes.of(second, secondJourney, effort));
  }
}
