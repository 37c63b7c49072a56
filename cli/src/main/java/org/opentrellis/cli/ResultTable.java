package org.opentrellis.cli;

import java.util.List;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.export.StepCsv;
import org.opentrellis.core.measure.RunMeasures;

/** The steps of a run as CSV (RFC 4180), a line each. */
final class ResultTable {
  private ResultTable() {}

  static String csv(DryRun run, List<RunMeasures> measures) {
    StepCsv csv = new StepCsv();
    for (int i = 0; i < measures.size(); i++) {
      csv.add(run.world().programs().get(i).journey(), measures.get(i));
    }
    return csv.toString();
  }
}
