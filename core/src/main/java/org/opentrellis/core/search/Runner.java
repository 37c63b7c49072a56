package org.opentrellis.core.search;

import java.util.List;
import java.util.function.Function;
import org.opentrellis.core.dryrun.AtOnce;
import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.vary.VariedRun;

/** Sends people through what a search tries: here or on other machines, to the same figures. */
public interface Runner {
  /** On this machine. */
  Runner HERE =
      new Runner() {
        @Override
        public PeopleScores scores(VariedRun plan, RunControl control) {
          return PeopleScores.of(plan.dryRun(), 0, control);
        }

        @Override
        public int atOnce() {
          return Runtime.getRuntime().availableProcessors();
        }
      };

  /**
   * What each of the people brought and cost. Called from several threads.
   *
   * @throws RunCancelled if the control says so
   */
  PeopleScores scores(VariedRun plan, RunControl control);

  /** So many are best sent through at once. */
  int atOnce();

  /**
   * Does something with each of some, as many at once as is best.
   *
   * @return what came of each, in their order
   * @throws RunCancelled if it did, or the thread was interrupted
   */
  default <T, R> List<R> each(List<T> some, Function<T, R> what) {
    return AtOnce.each(some, Math.min(some.size(), atOnce()), what);
  }
}
