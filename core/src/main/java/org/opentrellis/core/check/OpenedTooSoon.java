package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.statistics.distribution.LogNormalDistribution;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.sentence.Sentences;

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
        context.journey(),
        (branch, sent) -> {
          double waits = branch.waitUpTo().map(Amount::nominalHours).orElse(0.0);
          for (Condition.AboutEmail asked : EmailNotSentBefore.askedBy(branch)) {
            Double since = sent.get(asked.email());
            if (since == null || !(asked instanceof Condition.Opened)) {
              continue;
            }
            double share = openedWithin(since + waits, context.behaviour());
            if (share < ENOUGH) {
              findings.add(finding(context, branch, asked, since + waits, share));
            }
          }
        });
    return findings;
  }

  /** The share of later openers who have opened within some hours. */
  static double openedWithin(double hours, Behaviour behaviour) {
    double median = behaviour.openMedianHours().value();
    double sigma = behaviour.openSigma().value();
    return hours <= 0
        ? 0
        : LogNormalDistribution.of(Math.log(median), sigma).cumulativeProbability(hours);
  }

  private static Finding finding(
      CheckContext context,
      Step.Branch branch,
      Condition.AboutEmail asked,
      double hours,
      double share) {
    String question = new Sentences(context.journey(), context.messages()).condition(asked).text();
    String sentence =
        "This branch asks \u201c%s?\u201d %s after it is sent. By then about %.0f%% of those who will "
            + "open it have done so; the others take the wrong arm.";
    return new Finding(
        "opened-too-soon",
        Severity.WARNING,
        Optional.of(branch.id()),
        String.format(Locale.ROOT, sentence, question, inWords(hours), share * 100),
        Optional.of(new Finding.Fix("Wait up to 1 day", waitingADay(context, branch))));
  }

  private static org.opentrellis.core.journey.Journey waitingADay(
      CheckContext context, Step.Branch branch) {
    return StepEdits.replace(
        context.journey(),
        branch.id(),
        step ->
            new Step.Branch(branch.id(), Optional.of(A_DAY), branch.arms(), branch.otherwise()));
  }

  private static String inWords(double hours) {
    if (hours <= 0) {
      return "at the moment";
    }
    return hours < 1
        ? "about " + Amount.of(Math.max(1, Math.rint(hours * 60)), TimeUnit.MINUTES).inWords()
        : "about " + Amount.of(Math.rint(hours * 10) / 10, TimeUnit.HOURS).inWords();
  }
}
