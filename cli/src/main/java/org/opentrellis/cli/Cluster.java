package org.opentrellis.cli;

import java.io.PrintWriter;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;

/**
 * Makes runs on other machines; found by the service loader, since what it takes is not part of
 * this program.
 */
public interface Cluster {
  /**
   * @param run the same run, by which what was counted is read
   * @param master where, such as {@code spark://HOST:7077} or {@code local[2]}
   * @param progress told how many people are through
   * @throws ClusterTrouble if it cannot be made there
   */
  Tallies run(RunDocument document, DryRun run, String master, PrintWriter progress);

  /** Why a run could not be made on other machines, as a sentence. */
  final class ClusterTrouble extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public ClusterTrouble(String sentence, Throwable cause) {
      super(sentence, cause);
    }
  }
}
