package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.LogNormalDistribution;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;

/**
 * "Opened?" asked moments after sending finds hardly anybody: most openers need hours. The share is
 * the lognormal distribution function of the assumed delay.
 */
final class OpenedTooSoon implements Check {
  /** Warns while fewer than this share of the later openers can have opened. */
  private static final double ENOUGH = 0.5;

  private static final Amount A_DAY = Amount.of(1, TimeUnit.DAYS);

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    SentBefore.walk(
        context.expanded(),
        (step, before) -> {
          if (step instanceof Step.Branch branch) {
            EmailNotSentBefore.askedBy(step)
                .filter(Condition.Opened.class::isInstance)
                .filter(asked -> asked.step().isPresent())
                .filter(asked -> before.since().containsKey(asked.step().get()))
                .forEach(
                    asked ->
                        look(branch, asked, before.since().get(asked.step().get()), context)
                            .ifPresent(findings::add));
          }
        });
    return findings;
  }

  private static Optional<Finding> look(
      Step.Branch branch, Condition.AboutEmail asked, double since, CheckContext context) {
    double hours = since + branch.waitUpTo().map(Amount::nominalHours).orElse(0.0);
    double share = openedWithin(hours, context.behaviour());
    if (share >= ENOUGH) {
      return Optional.empty();
    }
    String sentence =
        "This branch asks \u201c%s?\u201d %s after it is sent. By then about %s of those who will "
            + "open it have done so; the others take the wrong arm.";
    Finding finding =
        Findings.warning(
            "opened-too-soon",
            branch.id(),
            sentence.formatted(
                context.sentences().condition(asked).text(),
                Findings.hours(hours),
                Findings.percent(share)));
    return Optional.of(
        context.own(branch)
            ? Findings.fixedBy(
                finding,
                "Wait up to 1 day",
                StepEdits.change(context.journey(), branch.id(), OpenedTooSoon::waitingADay))
            : finding);
  }

  /** The share of later openers who have opened within some hours. */
  static double openedWithin(double hours, Behaviour behaviour) {
    double median = behaviour.openMedianHours().value();
    double sigma = behaviour.openSigma().value();
    return hours <= 0
        ? 0
        : LogNormalDistribution.of(Math.log(median), sigma).cumulativeProbability(hours);
  }

  private static Step waitingADay(Step step) {
    Step.Branch branch = (Step.Branch) step;
    return new Step.Branch(branch.id(), Optional.of(A_DAY), branch.arms(), branch.otherwise());
  }
}
