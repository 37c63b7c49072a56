package org.opentrellis.core.compare;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.problem.Refused;

/**
 * Runs side by side.
 *
 * @param table their messages, lined up
 * @param wholes each whole run against the baseline; null for that
 * @param standsOut what a practitioner should look at, the weightiest first
 */
public record Comparison(
    ComparedTable table, List<@Nullable WholeRunDifference> wholes, List<StandOut> standsOut) {
  public static final int MOST = 6;

  /**
   * @param sides two to six
   * @param baseline the place of the one that the others are compared with
   * @throws RunCancelled if the effort's control says so
   */
  public static Comparison of(
      List<ComparedJourney> sides, int baseline, LineUp lineUp, Compared compared, Effort effort) {
    if (sides.size() < 2 || sides.size() > MOST || baseline < 0 || baseline >= sides.size()) {
      throw new Refused(
          "two to " + MOST + " runs are compared, with one of them, not " + sides.size());
    }
    List<@Nullable WholeRunDifference> wholes = WholeRunDifference.of(sides, baseline, effort);
    return new Comparison(
        ComparedTable.of(sides, baseline, lineUp, compared, effort),
        wholes,
        StandOuts.of(sides, wholes));
  }
}
