package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.sentence.Sentences;

/** A question about an email that nobody there can have got is always answered with no. */
final class EmailNotSentBefore implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Sentences sentences = new Sentences(context.journey(), context.messages());
    List<Finding> findings = new ArrayList<>();
    SentBefore.walk(
        context.journey(),
        (branch, sent) -> {
          for (Condition.AboutEmail asked : askedBy(branch)) {
            if (!sent.containsKey(asked.email())) {
              findings.add(finding(branch, sentences.condition(asked).text()));
            }
          }
        });
    return findings;
  }

  private static Finding finding(Step.Branch branch, String question) {
    return new Finding(
        "email-not-sent-before",
        Severity.ERROR,
        Optional.of(branch.id()),
        "This branch asks \u201c%s?\u201d, but that email cannot have been sent to anybody here. "
                .formatted(question)
            + "Ask about an email above, or move the branch below it.",
        Optional.empty());
  }

  static List<Condition.AboutEmail> askedBy(Step.Branch branch) {
    return branch.arms().stream()
        .map(Arm::condition)
        .flatMap(Condition::all)
        .filter(Condition.AboutEmail.class::isInstance)
        .map(Condition.AboutEmail.class::cast)
        .distinct()
        .toList();
  }
}
