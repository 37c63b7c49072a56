package org.opentrellis.app.reports;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.report.JourneyReport;
import org.opentrellis.core.sentence.RunSheet;

/**
 * One journey of a run as its report shows it.
 *
 * @param names what its steps are called, by id
 * @param curve the goal by day; null without a goal
 */
record JourneyPage(
    String name,
    int version,
    RunSheet sheet,
    JourneyReport report,
    List<Line> lines,
    Map<String, String> names,
    @Nullable CurvePicture curve) {

  /**
   * A line of the run sheet with its figures.
   *
   * @param step null for an arm
   */
  record Line(RunSheet.Row row, @Nullable StepMeasures step) {}

  static JourneyPage of(KeptRun.Part part, RunSheet sheet, JourneyReport report) {
    Map<String, StepMeasures> measures = new HashMap<>();
    report.measures().steps().forEach(step -> measures.put(step.id(), step));
    List<Line> lines = new ArrayList<>();
    Map<String, String> names = new HashMap<>();
    for (RunSheet.Row row : sheet.rows()) {
      lines.add(new Line(row, measures.get(row.id())));
      names.put(row.id(), row.brief());
    }
    return new JourneyPage(
        part.journey().name(),
        part.version(),
        sheet,
        report,
        lines,
        names,
        report.curves().goal() == null ? null : CurvePicture.of(List.of(report.curves().goal())));
  }
}
