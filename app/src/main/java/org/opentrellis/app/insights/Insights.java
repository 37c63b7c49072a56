package org.opentrellis.app.insights;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.PairedDryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.ShareDifference;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.OpensOfTen;
import org.opentrellis.core.vary.VariedRun;
import org.opentrellis.core.vary.WhatMatters;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Looks behind the figures of kept runs. */
@Service
class Insights {
  private static final int PREVIEW_PEOPLE = 5_000;

  private final DryRuns dryRuns;
  private final ComputingRoom room;

  Insights(DryRuns dryRuns, ComputingRoom room) {
    this.dryRuns = dryRuns;
    this.room = room;
  }

  CompletableFuture<WhatMatters> whatMatters(long run, int number) {
    VariedRun plan = plan(dryRuns.simulated(run), number);
    return room.compute(
        List.of("what matters", plan),
        Lane.USUAL,
        effort -> WhatMatters.of(plan, effort.control()));
  }

  /**
   * @return completes with {@link NotFound} if the run has no such number
   */
  CompletableFuture<WhatMatters.Sweep> sweep(long run, int number, String of) {
    VariedRun plan = plan(dryRuns.simulated(run), number);
    return room.compute(
        List.of("sweep", plan, of),
        Lane.USUAL,
        effort ->
            WhatMatters.sweep(plan, of, effort.control())
                .orElseThrow(() -> NotFound.of("number to vary in dry run", run)));
  }

  /** One journey of a run, by itself. */
  private static VariedRun plan(KeptRun run, int number) {
    KeptRun.Part part = run.part(number);
    return plan(run, part, part.behaviour(), run.cohort(), run.cohort().people());
  }

  /** All that a preview depends on. */
  private record Asked(KeptRun.Part part, VariedRun before, VariedRun after) {
    PreviewView preview(Effort effort) {
      DryRun then = before.dryRun();
      DryRun now = after.dryRun();
      ShareDifference goal =
          part.journey().goal().isPresent()
              ? ShareDifference.paired(new PairedDryRun(now, then).goalMet(effort))
              : null;
      RunMeasures thenSeen = RunMeasures.of(then.run(effort));
      RunMeasures nowSeen = RunMeasures.of(now.run(effort));
      int people = before.settings().people();
      return new PreviewView(
          people, thenSeen, nowSeen, goal, sentence(thenSeen, nowSeen, goal, people));
    }
  }

  /**
   * @throws ProblemsFound if the assumptions are refused
   */
  CompletableFuture<PreviewView> preview(long id, int number, PreviewOrder order) {
    KeptRun run = dryRuns.simulated(id);
    KeptRun.Part part = run.part(number);
    CohortPlan cohort = isAbsent(order.cohort()) ? run.cohort() : Cohorts.read(order.cohort());
    Behaviour behaviour =
        isAbsent(order.behaviour())
            ? part.behaviour()
            : ProblemsFound.within(
                "/behaviour",
                () -> Documents.readBehaviour(Objects.requireNonNull(order.behaviour())));
    int people = Math.min(PREVIEW_PEOPLE, Math.min(cohort.people(), run.cohort().people()));
    Asked asked =
        new Asked(
            part,
            plan(run, part, part.behaviour(), run.cohort(), people),
            plan(run, part, behaviour, cohort, people));
    return room.compute(asked, Lane.QUICK, asked::preview);
  }

  private static boolean isAbsent(@Nullable JsonNode document) {
    return document == null || document.isNull();
  }

  private static VariedRun plan(
      KeptRun run, KeptRun.Part part, Behaviour behaviour, CohortPlan cohort, int people) {
    return new VariedRun(
        part.journey(),
        run.catalogue(),
        behaviour,
        cohort,
        CohortSettings.of(cohort, run.seed(), run.start(), run.horizonDays()).withPeople(people));
  }

  private static String sentence(
      RunMeasures then, RunMeasures now, @Nullable ShareDifference goal, int people) {
    if (goal == null || then.goal() == null || now.goal() == null) {
      return "The journey has no goal to compare; see how the opens change.";
    }
    if (then.equals(now)) {
      return "These are the assumptions of the run itself: change one to see what it would do.";
    }
    return String.format(
            Locale.ROOT,
            "With these assumptions the goal goes from %s to %s: %+.1f points (%+.1f to %+.1f), the same %,d people compared one by one%s.",
            percent(then.goal().value()),
            percent(now.goal().value()),
            100 * goal.points(),
            100 * goal.low(),
            100 * goal.high(),
            people,
            goal.realDifference() ? "" : "; that could be chance")
        .replace('-', '\u2212');
  }

  private static String percent(@Nullable Double share) {
    return share == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", 100 * share);
  }

  /**
   * @throws ProblemsFound if one of the two is out of range
   */
  OpensOfTen opensOfTen(double keenness, double spread) {
    try {
      return OpensOfTen.of(new Keenness(keenness, spread));
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
  }
}
