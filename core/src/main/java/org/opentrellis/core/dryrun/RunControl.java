package org.opentrellis.core.dryrun;

/** Watches a run, and may stop it. Called from several threads, some thousand people apart. */
@FunctionalInterface
public interface RunControl {
  RunControl NONE = people -> {};

  /**
   * So many more people are done.
   *
   * @throws RunCancelled to stop the run
   */
  void reached(int people);
}
