package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Step;

/** A question about an email that nobody there can have got is always answered with no. */
final class EmailNotSentBefore implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    SentBefore.walk(
        context.expanded(),
        (step, before) ->
            askedBy(step)
                .filter(asked -> asked.step().isPresent())
                .filter(asked -> !before.since().containsKey(asked.step().get()))
                .forEach(
                    asked ->
                        findings.add(finding(step, context.sentences().condition(asked).text()))));
    return findings;
  }

  private static Finding finding(Step step, String question) {
    return Findings.error(
        "email-not-sent-before",
        step.id(),
        "This step asks \u201c%s?\u201d, but that email cannot have been sent to anybody here. "
                .formatted(question)
            + "Ask about an email above, or move the step below it.");
  }

  /** The questions about emails that a step itself asks. */
  static Stream<Condition.AboutEmail> askedBy(Step step) {
    return step.conditions().stream()
        .flatMap(Condition::all)
        .filter(Condition.AboutEmail.class::isInstance)
        .map(Condition.AboutEmail.class::cast)
        .distinct();
  }
}
