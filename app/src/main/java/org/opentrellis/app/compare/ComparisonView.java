package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.core.compare.Comparison;
import org.opentrellis.core.measure.RunCurves;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.DifferenceLine;

/**
 * Runs side by side.
 *
 * @param columns a run each, in the order asked for
 * @param peopleSentence which of them have the same people, and so are compared one by one
 * @param versions what is different in the journey, where a run is of another version of the
 *     baseline's
 */
public record ComparisonView(
    List<Column> columns, String peopleSentence, Comparison comparison, List<Version> versions) {

  /**
   * @param ref what the run is asked for by
   * @param name how the run is called here: by its journey, and by version or run where needed
   */
  public record Column(
      String ref, DryRunSummary run, String name, RunMeasures measures, RunCurves curves) {}

  /**
   * @param ref the run
   * @param lines the baseline's journey against this one's, changed lines only
   */
  public record Version(String ref, String name, List<DifferenceLine> lines) {}
}
