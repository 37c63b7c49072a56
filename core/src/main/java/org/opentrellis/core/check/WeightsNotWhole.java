package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.Variant;

/** The shares of a split test, or of an email's variants, must make 100%. */
final class WeightsNotWhole implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    context
        .expanded()
        .steps()
        .forEach(
            step -> {
              List<Double> percents = step.lots();
              double sum = percents.stream().mapToDouble(Double::doubleValue).sum();
              if (!percents.isEmpty() && Math.abs(sum - 100) > 1e-6) {
                findings.add(finding(step, sum, context));
              }
            });
    return findings;
  }

  private static Finding finding(Step step, double sum, CheckContext context) {
    Finding finding =
        Findings.error(
            "weights-not-whole",
            step.id(),
            "The shares make %s%%; they must make 100%%.".formatted(Findings.number(sum)));
    return context.own(step)
        ? Findings.fixedBy(
            finding,
            "Share alike",
            StepEdits.change(context.journey(), step.id(), WeightsNotWhole::alike))
        : finding;
  }

  private static Step alike(Step step) {
    if (step instanceof Step.SplitTest split) {
      List<Double> shares = alike(split.arms().size());
      List<SplitArm> arms = new ArrayList<>();
      for (SplitArm arm : split.arms()) {
        arms.add(new SplitArm(arm.id(), shares.get(arms.size()), arm.steps()));
      }
      return new Step.SplitTest(split.id(), arms);
    }
    Step.SendEmail email = (Step.SendEmail) step;
    List<Double> shares = alike(email.variants().size());
    List<Variant> variants = new ArrayList<>();
    for (Variant variant : email.variants()) {
      variants.add(
          new Variant(
              variant.id(), variant.message(), variant.subject(), shares.get(variants.size())));
    }
    return email.edit().variants(variants).done();
  }

  /** Whole percents that make 100, the first ones one more where it does not come out even. */
  private static List<Double> alike(int count) {
    return Stream.iterate(0, i -> i + 1)
        .limit(count)
        .map(i -> (double) (100 / count + (i < 100 % count ? 1 : 0)))
        .toList();
  }
}
