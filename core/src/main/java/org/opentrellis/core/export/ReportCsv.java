package org.opentrellis.core.export;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.compare.ComparedTable;
import org.opentrellis.core.compare.Judged;
import org.opentrellis.core.measure.Curve;
import org.opentrellis.core.measure.RunCurves;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.report.Outgoing;
import org.opentrellis.core.report.PathReport;

/** Other parts of what runs showed, as CSV. Shares are numbers from 0 to 1. */
public final class ReportCsv {
  private ReportCsv() {}

  /** The distinct ways, the commonest first; the last line is the rest. */
  public static String paths(PathReport paths) {
    Csv csv = new Csv("path", "people", "share", "goal", "goalRate", "emailsEach", "daysEach");
    for (PathReport.PathLine path : paths.paths()) {
      Share goal = path.goal();
      csv.line(
          path.words(),
          path.people().count(),
          path.people().value(),
          goal == null ? null : goal.count(),
          goal == null ? null : goal.value(),
          path.emails(),
          path.days());
    }
    if (paths.rest().count() > 0) {
      csv.line("other ways", paths.rest().count(), paths.rest().value(), null, null, null, null);
    }
    return csv.toString();
  }

  /** Emails and texts by day. */
  public static String outgoing(Outgoing out) {
    Csv csv = new Csv("day", "emails", "texts");
    for (int day = 0; day < out.emailsByDay().size(); day++) {
      csv.line(
          out.firstDay().plusDays(day).toString(),
          out.emailsByDay().get(day),
          out.textsByDay().get(day));
    }
    return csv.toString();
  }

  /** What had happened by each day since entry. */
  public static String curves(RunCurves curves) {
    Csv csv =
        new Csv(
            "day",
            "goal",
            "goalLow",
            "goalHigh",
            "unsubscribed",
            "unsubscribedLow",
            "unsubscribedHigh",
            "emailsEach");
    for (int day = 0; day < curves.unsubscribed().points().size(); day++) {
      Curve.CurvePoint goal = at(curves.goal(), day);
      Curve.CurvePoint left = curves.unsubscribed().points().get(day);
      csv.line(
          day,
          goal == null ? null : goal.value(),
          goal == null ? null : goal.low(),
          goal == null ? null : goal.high(),
          left.value(),
          left.low(),
          left.high(),
          day < curves.emails().size() ? curves.emails().get(day) : null);
    }
    return csv.toString();
  }

  private static Curve.@Nullable CurvePoint at(@Nullable Curve curve, int day) {
    return curve == null || day >= curve.points().size() ? null : curve.points().get(day);
  }

  /**
   * A table of runs side by side, a line for each cell.
   *
   * @param runs what the runs are called
   */
  public static String table(ComparedTable table, List<String> runs) {
    Csv csv =
        new Csv(
            "row",
            "run",
            "step",
            "name",
            "reached",
            "measure",
            "count",
            "of",
            "value",
            "low",
            "high",
            "difference",
            "differenceLow",
            "differenceHigh",
            "p",
            "pHolm",
            "verdict");
    for (ComparedTable.ComparedRow row : table.rows()) {
      for (int i = 0; i < runs.size(); i++) {
        ComparedTable.ComparedCell cell = row.cells().get(i);
        if (cell != null) {
          Judged against = cell.against();
          csv.line(
              row.label(),
              runs.get(i),
              cell.step(),
              cell.name(),
              cell.reach().count(),
              table.compared().words(),
              cell.share().count(),
              cell.share().of(),
              cell.share().value(),
              cell.share().low(),
              cell.share().high(),
              against == null ? null : against.points(),
              against == null ? null : against.low(),
              against == null ? null : against.high(),
              against == null ? null : against.pValue(),
              against == null ? null : against.adjusted(),
              against == null ? null : against.sentence());
        }
      }
    }
    return csv.toString();
  }
}
