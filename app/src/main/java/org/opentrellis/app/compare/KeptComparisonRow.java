package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;

record KeptComparisonRow(
    long id, String name, String runs, int baseline, LineUp lineUp, Compared compared) {

  KeptComparison kept() {
    return new KeptComparison(id, name, List.of(runs.split(",")), baseline, lineUp, compared);
  }
}
