package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Renaming;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;

/** Recorded opens that are mostly made by mail programs say little about people. */
final class MostlyPreloads implements Check {
  /** Warns from this share of machine opens among the recorded ones on. */
  private static final double HALF = 0.5;

  @Override
  public List<Finding> look(CheckContext context) {
    double share = share(context.behaviour().groups());
    if (share < HALF) {
      return List.of();
    }
    List<Finding> findings = new ArrayList<>();
    context
        .expanded()
        .steps()
        .filter(Step.Branch.class::isInstance)
        .filter(
            step ->
                EmailNotSentBefore.askedBy(step)
                    .anyMatch(asked -> asked instanceof Condition.Opened o && !o.peopleOnly()))
        .forEach(step -> findings.add(finding((Step.Branch) step, share, context)));
    return findings;
  }

  /** Of the recorded opens of a usual email, those of people who did not read it. */
  static double share(List<AudienceGroup> groups) {
    double machine = 0;
    double recorded = 0;
    for (AudienceGroup group : groups) {
      double preloads = group.preloads().value();
      double reads = group.keenness().mean();
      machine += group.share() * preloads * (1 - reads);
      recorded += group.share() * (preloads + reads - preloads * reads);
    }
    return recorded == 0 ? 0 : machine / recorded;
  }

  private static Finding finding(Step.Branch branch, double share, CheckContext context) {
    Finding finding =
        Findings.warning(
            "mostly-preloads",
            branch.id(),
            "About %s of the opens that this branch goes by are made by mail programs, not people."
                .formatted(Findings.percent(share)));
    return context.own(branch)
        ? Findings.fixedBy(
            finding,
            "Count people's opens only",
            StepEdits.change(context.journey(), branch.id(), MostlyPreloads::peopleOnly))
        : finding;
  }

  private static Step peopleOnly(Step step) {
    Step.Branch branch = (Step.Branch) step;
    List<Arm> arms =
        branch.arms().stream()
            .map(arm -> new Arm(arm.id(), changed(arm.condition()), arm.steps()))
            .toList();
    return new Step.Branch(branch.id(), branch.waitUpTo(), arms, branch.otherwise());
  }

  private static Condition changed(Condition condition) {
    return Renaming.leaves(
        condition,
        leaf ->
            leaf instanceof Condition.Opened opened
                ? new Condition.Opened(opened.email(), true, opened.within())
                : leaf);
  }
}
