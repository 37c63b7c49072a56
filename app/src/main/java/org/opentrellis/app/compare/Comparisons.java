package org.opentrellis.app.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.dryruns.DryRunSummary;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.ComparedJourney;
import org.opentrellis.core.compare.Comparison;
import org.opentrellis.core.compare.LineUp;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.report.JourneyReport;
import org.opentrellis.core.sentence.DifferenceLine;
import org.opentrellis.core.sentence.JourneyDifference;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** Sets runs side by side. */
@Service
public class Comparisons {
  private final DryRuns dryRuns;
  private final ComputingRoom room;

  Comparisons(DryRuns dryRuns, ComputingRoom room) {
    this.dryRuns = dryRuns;
    this.room = room;
  }

  /**
   * @param runs two to six different ones, such as 12, or 12.1 for the second journey of run 12
   * @param baseline the place of the one that the others are compared with; null for the first
   * @param lineUp null for what suits them: by message for versions of one journey, else the order
   *     of emails
   * @param compared null for opens
   * @throws ProblemsFound if there are too few runs, too many, or one twice
   * @throws NotFound if there is no such run
   */
  public CompletableFuture<ComparisonView> of(
      List<String> runs,
      @Nullable Integer baseline,
      @Nullable LineUp lineUp,
      @Nullable Compared compared) {
    return of(new ComparisonOrder(runs, baseline, lineUp, compared));
  }

  /** One journey of a run that is kept. */
  private record Chosen(RunRef ref, KeptRun run) {
    KeptRun.Part part() {
      return run.part(ref.number());
    }
  }

  private CompletableFuture<ComparisonView> of(ComparisonOrder order) {
    List<RunRef> refs = order.runs().stream().map(RunRef::of).toList();
    int baseline = order.baseline() == null ? 0 : order.baseline();
    check(refs, baseline);
    Map<Long, KeptRun> runs = new HashMap<>();
    List<Chosen> chosen =
        refs.stream()
            .map(ref -> new Chosen(ref, runs.computeIfAbsent(ref.run(), dryRuns::find)))
            .toList();
    chosen.forEach(Chosen::part);
    List<DryRunSummary> summaries =
        chosen.stream().map(one -> one.run.summary(one.ref.number())).toList();
    int people = chosen.stream().mapToInt(one -> one.run.cohort().people()).max().orElseThrow();
    return room.compute(
        List.of(
            "comparison", order, summaries, runs.values().stream().map(KeptRun::engine).toList()),
        Lane.ofRun(people),
        effort -> view(order, baseline, chosen, summaries, effort));
  }

  private static ComparisonView view(
      ComparisonOrder order,
      int baseline,
      List<Chosen> chosen,
      List<DryRunSummary> summaries,
      Effort effort) {
    List<String> names = RunNames.of(summaries);
    List<ComparedJourney> sides = new ArrayList<>();
    List<ComparisonView.Column> columns = new ArrayList<>();
    for (int i = 0; i < chosen.size(); i++) {
      ComparedJourney side = side(chosen.get(i), names.get(i));
      sides.add(side);
      columns.add(
          new ComparisonView.Column(
              chosen.get(i).ref.toString(),
              summaries.get(i),
              names.get(i),
              side.measures(),
              side.curves()));
    }
    return new ComparisonView(
        columns,
        people(chosen, names, baseline),
        Comparison.of(
            sides,
            baseline,
            order.lineUp() == null ? LineUp.usual(sides) : order.lineUp(),
            order.compared() == null ? Compared.OPENED : order.compared(),
            effort),
        versions(chosen, names, baseline));
  }

  private static void check(List<RunRef> refs, int baseline) {
    if (refs.size() < 2
        || refs.size() > Comparison.MOST
        || refs.stream().distinct().count() != refs.size()) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value",
                  "/runs",
                  "Choose two to " + Comparison.MOST + " different runs to compare.")));
    }
    if (baseline < 0 || baseline >= refs.size()) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value",
                  "/baseline",
                  "The run to compare with is one of the %d, counted from 0, not %d."
                      .formatted(refs.size(), baseline))));
    }
  }

  private static ComparedJourney side(Chosen chosen, String name) {
    KeptRun run = chosen.run;
    KeptRun.Part part = chosen.part();
    JourneyReport report = run.report().journeys().get(chosen.ref.number());
    Map<String, String> steps = new HashMap<>();
    RunSheet.of(part.journey(), run.catalogue())
        .rows()
        .forEach(row -> steps.put(row.id(), row.brief()));
    return new ComparedJourney(
        name,
        Strands.expand(part.journey(), run.catalogue()),
        steps,
        report.measures(),
        report.dropOff(),
        report.curves(),
        run.again(),
        chosen.ref.number(),
        run.people());
  }

  private static String people(List<Chosen> chosen, List<String> names, int baseline) {
    List<String> same = new ArrayList<>();
    for (int i = 0; i < chosen.size(); i++) {
      if (i != baseline && chosen.get(i).run.samePeopleAs(chosen.get(baseline).run)) {
        same.add("\u201c" + names.get(i) + "\u201d");
      }
    }
    String base = "\u201c" + names.get(baseline) + "\u201d";
    if (same.isEmpty() && chosen.stream().anyMatch(one -> one.run.isTooLargeToPair())) {
      return "More than %,d people are compared by their totals, which is enough for so many."
          .formatted(KeptRun.MOST_PAIRED);
    }
    if (same.isEmpty()) {
      return "Different people in all of them, so they are compared by their totals.";
    }
    return "%s %s the same people as %s, so they are compared one by one%s."
        .formatted(
            String.join(", ", same),
            same.size() == 1 ? "has" : "have",
            base,
            same.size() == chosen.size() - 1 ? "" : "; the others by their totals");
  }

  private static List<ComparisonView.Version> versions(
      List<Chosen> chosen, List<String> names, int baseline) {
    KeptRun.Part base = chosen.get(baseline).part();
    List<ComparisonView.Version> versions = new ArrayList<>();
    for (int i = 0; i < chosen.size(); i++) {
      KeptRun.Part part = chosen.get(i).part();
      if (i != baseline
          && part.journeyId() == base.journeyId()
          && part.version() != base.version()) {
        versions.add(
            new ComparisonView.Version(
                chosen.get(i).ref.toString(),
                names.get(i),
                JourneyDifference.between(
                        base.journey(), part.journey(), chosen.get(i).run.catalogue())
                    .stream()
                    .filter(line -> line.kind() != DifferenceLine.Kind.SAME)
                    .toList()));
      }
    }
    return versions;
  }
}
