package org.opentrellis.app.dryruns;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.elsewhere.Elsewhere;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.HowLong;
import org.springframework.stereotype.Service;

/** Says beforehand where a run would be made and how long it would take, by a few of its people. */
@Service
class Outlooks {
  private static final int TRIED = 20_000;

  /** A machine that has just been started becomes quicker for a while. */
  private static final double TRY_FOR_SECONDS = 0.8;

  private static final double NANOS = 1e9;
  private static final double NOTICED_SECONDS = 3;

  private final RunOrders orders;
  private final Elsewhere elsewhere;
  private final ComputingRoom room;

  Outlooks(RunOrders orders, Elsewhere elsewhere, ComputingRoom room) {
    this.orders = orders;
    this.elsewhere = elsewhere;
    this.room = room;
  }

  /** The first people of a run, by whom all are judged. */
  private record Few(RunSetup setup) {}

  /**
   * @throws ProblemsFound if the order is out of range
   */
  RunOutlook of(RunOrder order) {
    RunSetup setup = orders.setup(order);
    int people = setup.settings().people();
    Few few = new Few(setup.of(Math.min(TRIED, people)));
    double each =
        ComputingRoom.await(
            room.compute(few, Lane.USUAL, effort -> secondsEach(few.setup, effort)));
    double seconds = people * each / Lane.ofRun(people).threads();
    return new RunOutlook(seconds, sentence(people, seconds));
  }

  /** The quickest of some tries, by one thread. */
  private static double secondsEach(RunSetup setup, Effort effort) {
    double best = Double.POSITIVE_INFINITY;
    long first = System.nanoTime();
    while (System.nanoTime() - first < TRY_FOR_SECONDS * NANOS) {
      long begun = System.nanoTime();
      setup.dryRun().run(new Effort(1, effort.control()));
      best = Math.min(best, (System.nanoTime() - begun) / NANOS / setup.settings().people());
    }
    return best;
  }

  private @Nullable String sentence(int people, double seconds) {
    Optional<String> where = elsewhere.where(people);
    if (where.isPresent()) {
      return "More than %,d people go to %s; this machine alone would take %s."
          .formatted(elsewhere.above(), where.get(), HowLong.about(seconds));
    }
    if (seconds < NOTICED_SECONDS) {
      return null;
    }
    return "It will take %s on this machine.".formatted(HowLong.about(seconds));
  }
}
