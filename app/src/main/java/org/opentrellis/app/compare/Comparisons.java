package org.opentrellis.app.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.core.dryrun.PairedDryRun;
import org.opentrellis.core.measure.Difference;
import org.opentrellis.core.measure.EmailOrder;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.Verdict;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** Sets runs side by side. */
@Service
class Comparisons {
  private static final int MOST = 6;

  private final DryRuns dryRuns;

  Comparisons(DryRuns dryRuns) {
    this.dryRuns = dryRuns;
  }

  /**
   * @param ids two to six different runs
   * @throws ProblemsFound if there are too few, too many, or one twice
   */
  ComparisonView of(List<Long> ids) {
    if (ids.size() < 2 || ids.size() > MOST || ids.stream().distinct().count() != ids.size()) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value", "/runs", "Choose two to " + MOST + " different runs to compare.")));
    }
    List<KeptRun> runs = ids.stream().map(dryRuns::find).toList();
    List<String> names = names(runs);
    List<ComparisonView.Column> columns = new ArrayList<>();
    List<ComparisonView.GoalDifference> differences = new ArrayList<>();
    for (int i = 0; i < runs.size(); i++) {
      columns.add(column(runs.get(i), names.get(i)));
      if (i > 0) {
        differences.add(difference(runs.get(0), names.get(0), runs.get(i), names.get(i)));
      }
    }
    return new ComparisonView(columns, differences);
  }

  private static ComparisonView.Column column(KeptRun run, String name) {
    RunMeasures measures = run.measures();
    List<EmailOrder.Place> places = EmailOrder.of(measures);
    Map<String, String> names =
        RunSheet.of(run.journey(), run.catalogue()).rows().stream()
            .collect(Collectors.toMap(RunSheet.Row::id, RunSheet.Row::brief));
    long left =
        measures.leftUnsubscribed().count()
            + measures.leftBounced().count()
            + measures.leftComplained().count();
    return new ComparisonView.Column(
        run.summary(),
        name,
        places.stream().map(place -> names.get(place.step().id())).toList(),
        places,
        Share.of(left, measures.entered()),
        measures.goal(),
        measures.goalByDay());
  }

  private static ComparisonView.GoalDifference difference(
      KeptRun first, String firstName, KeptRun later, String laterName) {
    Share before = first.measures().goal();
    Share now = later.measures().goal();
    Difference difference = before == null || now == null ? null : difference(first, later);
    return new ComparisonView.GoalDifference(
        later.summary().id(),
        difference,
        sentence(firstName, before, laterName, now, difference) + caution(later, first));
  }

  private static String caution(KeptRun later, KeptRun first) {
    return later.journey().goal().isEmpty() || first.journey().goal().isEmpty()
        ? ""
        : Verdict.caution(
            later.journey().goal().get().withinDays(), first.journey().goal().get().withinDays());
  }

  private static String sentence(
      String firstName,
      @Nullable Share before,
      String laterName,
      @Nullable Share now,
      @Nullable Difference difference) {
    if (before == null || now == null) {
      return "\u201c%s\u201d and \u201c%s\u201d cannot be compared by goal: one of them has none."
          .formatted(firstName, laterName);
    }
    return difference == null
        ? "Nobody entered in one of \u201c%s\u201d and \u201c%s\u201d: none yet."
            .formatted(firstName, laterName)
        : Verdict.onGoal(laterName, firstName, difference, now, before);
  }

  private static @Nullable Difference difference(KeptRun first, KeptRun later) {
    if (first.samePeopleAs(later)) {
      return Difference.paired(new PairedDryRun(later.again(), first.again()).goalMet());
    }
    return Difference.unpaired(
        java.util.Objects.requireNonNull(later.measures().goal()),
        java.util.Objects.requireNonNull(first.measures().goal()));
  }

  /** By journey; by version too where a journey stands twice, and by run where a version does. */
  private static List<String> names(List<KeptRun> runs) {
    List<DryRunSummary> all = runs.stream().map(KeptRun::summary).toList();
    return all.stream().map(run -> name(run, all)).toList();
  }

  private static String name(DryRunSummary run, List<DryRunSummary> all) {
    List<DryRunSummary> same =
        all.stream().filter(other -> other.journeyName().equals(run.journeyName())).toList();
    if (same.size() == 1) {
      return run.journeyName();
    }
    boolean sameVersion =
        same.stream().filter(o -> o.journeyVersion() == run.journeyVersion()).count() > 1;
    return run.journeyName()
        + " v"
        + run.journeyVersion()
        + (sameVersion ? ", run " + run.id() : "");
  }
}
