package org.opentrellis.core.elsewhere;

import org.opentrellis.core.dryrun.PeopleScores;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.dryrun.Tallies;

/**
 * Other machines that make runs: whatever they do, they come to the same figures as this one. Safe
 * for many threads.
 */
public interface Cluster extends AutoCloseable {
  /**
   * @param control told how many people are through; may stop it
   * @throws ClusterTrouble if it cannot be made there
   * @throws RunCancelled if the control says so
   */
  Tallies run(RunDocument document, RunControl control);

  /**
   * What each of the people brought and cost in the run's first journey.
   *
   * @throws ClusterTrouble if it cannot be made there
   * @throws RunCancelled if the control says so
   */
  PeopleScores scores(RunDocument document, RunControl control);

  /** So many runs are best made at once. */
  int atOnce();

  @Override
  void close();
}
