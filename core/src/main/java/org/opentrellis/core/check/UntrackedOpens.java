package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;

/** "Opened?" about a message whose opens nobody records is always answered with no. */
final class UntrackedOpens implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    for (Step.Send send : context.expanded().sends()) {
      if (!send.tracksOpens() && isAsked(send.id(), context)) {
        findings.add(finding(send, context));
      }
    }
    return findings;
  }

  private static boolean isAsked(StepId send, CheckContext context) {
    return context
        .expanded()
        .steps()
        .flatMap(EmailNotSentBefore::askedBy)
        .filter(Condition.Opened.class::isInstance)
        .anyMatch(asked -> asked.step().filter(send::equals).isPresent());
  }

  private static Finding finding(Step.Send send, CheckContext context) {
    boolean email = send.channel() == Channel.EMAIL;
    Finding finding =
        Findings.warning(
            "untracked-opens",
            send.id(),
            email
                ? "A step below asks whether this email was opened, but its opens are not tracked, "
                    + "so the answer is always no."
                : "A step below asks whether this text was opened, which nobody can know. Ask for a "
                    + "click.");
    return email && context.own(send)
        ? Findings.fixedBy(
            finding,
            "Track its opens",
            StepEdits.change(
                context.journey(),
                send.id(),
                step -> ((Step.SendEmail) step).edit().untracked(false).done()))
        : finding;
  }
}
