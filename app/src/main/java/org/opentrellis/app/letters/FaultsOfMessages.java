package org.opentrellis.app.letters;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.journeys.MessageFaults;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.proofreading.MessageFinding;
import org.springframework.stereotype.Component;

/** Tells journeys what is wrong with the messages that they send. */
@Component
class FaultsOfMessages implements MessageFaults {
  private final Proofreader proofreader;

  FaultsOfMessages(Proofreader proofreader) {
    this.proofreader = proofreader;
  }

  @Override
  public List<Finding> of(Journey journey) {
    Set<MessageId> sent = new LinkedHashSet<>();
    journey.sends().forEach(send -> sent.addAll(messages(send)));
    List<Finding> findings = new ArrayList<>();
    if (!sent.isEmpty()) {
      proofreader
          .saved(sent)
          .forEach((written, found) -> findings.addAll(told(written, found, journey)));
    }
    return findings;
  }

  private static List<Finding> told(Written written, List<MessageFinding> found, Journey journey) {
    Optional<StepId> step =
        journey.sends().stream()
            .filter(send -> messages(send).contains(written.id()))
            .map(Step::id)
            .findFirst();
    List<Finding> told = new ArrayList<>();
    found.stream()
        .filter(one -> one.severity() == Severity.ERROR)
        .forEach(one -> told.add(finding(one, step, said(written, one.sentence()))));
    List<MessageFinding> better =
        found.stream().filter(one -> one.severity() != Severity.ERROR).toList();
    if (!better.isEmpty()) {
      String more = better.size() == 1 ? "" : " And " + (better.size() - 1) + " more.";
      told.add(
          finding(better.getFirst(), step, said(written, better.getFirst().sentence() + more)));
    }
    return told;
  }

  private static String said(Written written, String sentence) {
    return "Message \u201c%s\u201d: %s".formatted(written.name(), sentence);
  }

  private static Finding finding(MessageFinding found, Optional<StepId> step, String sentence) {
    return new Finding(CODE + found.code(), found.severity(), step, sentence, Optional.empty());
  }

  private static List<MessageId> messages(Step.Send send) {
    return send.versions().isEmpty()
        ? List.of(send.message())
        : send.versions().stream().map(one -> one.message()).toList();
  }
}
