package org.opentrellis.app.compare;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.core.measure.Difference;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunMeasures.GoalDay;
import org.opentrellis.core.measure.Share;

/**
 * Runs side by side; the first is what the others are compared with.
 *
 * @param columns a run each, in the order asked for
 * @param differences of the goal, each later run against the first; only between runs with a goal
 */
record ComparisonView(List<Column> columns, List<GoalDifference> differences) {

  /**
   * @param name how the run is called here: by its journey, and by version or run where needed
   * @param emailNames the emails' names, as many as places
   * @param places the emails in the order people get them
   * @param left who unsubscribed, complained or turned out to have a dead address inside, of
   *     entered
   */
  record Column(
      DryRunSummary run,
      String name,
      List<String> emailNames,
      List<EmailOrder.Place> places,
      Share left,
      @Nullable Share goal,
      List<GoalDay> goalByDay) {}

  /**
   * @param run the later run's id
   * @param difference later minus first; null if one of the two has nobody yet
   * @param sentence the difference in words
   */
  record GoalDifference(long run, @Nullable Difference difference, String sentence) {}
}
