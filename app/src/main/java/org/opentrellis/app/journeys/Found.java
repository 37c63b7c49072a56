package org.opentrellis.app.journeys;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Severity;

/**
 * What a list tells of findings.
 *
 * @param count how many there are
 * @param worst the worst of them; null if there are none
 * @param firstPlace the step that the first is about; null if it is about the whole journey
 */
record Found(int count, @Nullable Severity worst, @Nullable String firstPlace) {
  /** Notes, which ask for nothing, are not told of in lists. */
  static Found of(List<Finding> all) {
    List<Finding> findings =
        all.stream().filter(finding -> finding.severity() != Severity.NOTE).toList();
    Optional<Finding> first = findings.stream().findFirst();
    return new Found(
        findings.size(),
        first.map(Finding::severity).orElse(null),
        first.flatMap(Finding::step).map(StepId::value).orElse(null));
  }

  /** As they are kept on a card. */
  static Found of(ListedRow row) {
    return new Found(
        row.findings(),
        row.worst() == null ? null : Severity.valueOf(row.worst()),
        row.firstPlace());
  }
}
