package org.opentrellis.bench;

import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.StepTally;

/** This project's engine. */
final class Engine {
  private Engine() {}

  static Counts run(int people, long seed, int threads) {
    JourneyTally tally = Reference.run(Reference.w6(), people, seed).run(threads).journey();
    return new Counts(
        tally.steps().stream().mapToLong(StepTally::entered).toArray(), tally.goalMet());
  }
}
