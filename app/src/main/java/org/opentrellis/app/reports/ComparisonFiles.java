package org.opentrellis.app.reports;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.compare.ComparisonView;
import org.opentrellis.app.compare.Comparisons;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;
import org.opentrellis.core.export.ReportCsv;
import org.opentrellis.core.measure.Curve;
import org.springframework.stereotype.Service;

/** Runs side by side, as files. */
@Service
class ComparisonFiles {
  private final Comparisons comparisons;
  private final Pages pages;

  ComparisonFiles(Comparisons comparisons, Pages pages) {
    this.comparisons = comparisons;
    this.pages = pages;
  }

  CompletableFuture<String> table(
      List<String> runs,
      @Nullable Integer baseline,
      @Nullable LineUp lineUp,
      @Nullable Compared compared) {
    return comparisons
        .of(runs, baseline, lineUp, compared)
        .thenApply(view -> ReportCsv.table(view.comparison().table(), names(view)));
  }

  CompletableFuture<String> report(
      List<String> runs,
      @Nullable Integer baseline,
      @Nullable LineUp lineUp,
      @Nullable Compared compared) {
    return comparisons.of(runs, baseline, lineUp, compared).thenApply(this::page);
  }

  private String page(ComparisonView view) {
    List<Curve> goals =
        view.columns().stream()
            .map(column -> column.curves().goal())
            .filter(Objects::nonNull)
            .toList();
    return pages.write(
        "comparison-report",
        Map.of(
            "view", view,
            "names", names(view),
            "withGoal", view.columns().stream().filter(c -> c.curves().goal() != null).toList(),
            "curve", CurvePicture.of(goals)));
  }

  private static List<String> names(ComparisonView view) {
    return view.columns().stream().map(ComparisonView.Column::name).toList();
  }
}
