package org.opentrellis.core.dryrun;

import java.util.stream.IntStream;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.stats.Pairs;

/**
 * Compares two journeys person by person: with the same seed, person n is the same person in both
 * (common random numbers), so most of the chance between the two cancels out.
 */
public final class PairedDryRun {
  private static final int PARTITIONS = 8;

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
   */
  public Pairs goalMet() {
    return IntStream.range(0, PARTITIONS)
        .parallel()
        .mapToObj(this::part)
        .reduce(Pairs.NONE, Pairs::plus);
  }

  private Pairs part(int part) {
    Lives one = first.lives(Witness.NOBODY);
    Lives two = second.lives(Witness.NOBODY);
    int from = (int) ((long) first.settings().people() * part / PARTITIONS);
    int to = (int) ((long) first.settings().people() * (part + 1) / PARTITIONS);
    long[] counts = new long[4];
    for (int person = from; person < to; person++) {
      Outcome of = Outcome.of(one, first, firstJourney, person);
      Outcome with = Outcome.of(two, second, secondJourney, person);
      if (of != Outcome.STAYED_OUT || with != Outcome.STAYED_OUT) {
        counts[(of == Outcome.MET ? 0 : 2) + (with == Outcome.MET ? 0 : 1)]++;
      }
    }
    return new Pairs(counts[0], counts[1], counts[2], counts[3]);
  }

  private enum Outcome {
    STAYED_OUT,
    ENTERED,
    MET;

    static Outcome of(Lives lives, DryRun run, int journey, int number) {
      Person person = lives.unlessHeldOut(number, run.settings().holdOut());
      if (person == null) {
        return STAYED_OUT;
      }
      long end = person.endsAt();
      Outcome outcome = STAYED_OUT;
      for (int n = 0; n < person.visits().size(); n++) {
        if (person.visits().get(n).program().number() == journey) {
          boolean met = person.visits().get(n).goalMetAt(end) <= end;
          outcome = met || outcome == MET ? MET : ENTERED;
        }
      }
      return outcome;
    }
  }
}
