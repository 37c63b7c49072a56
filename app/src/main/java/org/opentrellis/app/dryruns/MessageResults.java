package org.opentrellis.app.dryruns;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.journeys.SendersOf;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.sentence.Library;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a message did in the newest run of each journey that sends it. */
@RestController
class MessageResults {
  private final SendersOf senders;
  private final DryRuns runs;

  MessageResults(SendersOf senders, DryRuns runs) {
    this.senders = senders;
    this.runs = runs;
  }

  @GetMapping("/api/messages/{id}/results")
  List<MessageResult> listMessageResults(@PathVariable String id) {
    MessageId message = new MessageId(id);
    return runs.newestOf(senders.message(message)).values().stream()
        .flatMap(summary -> of(message, summary))
        .toList();
  }

  private Stream<MessageResult> of(MessageId message, DryRunSummary summary) {
    KeptRun run = runs.find(summary.id());
    Journey journey = Strands.expand(run.parts().get(summary.number()).journey(), run.catalogue());
    Set<StepId> steps =
        journey.sends().stream()
            .filter(send -> sends(send, message))
            .map(Step.Send::id)
            .collect(Collectors.toSet());
    Library told = new Library(journey, run.catalogue());
    return run.report().journeys().get(summary.number()).measures().steps().stream()
        .filter(step -> steps.contains(new StepId(step.id())) && step.email() != null)
        .map(
            step ->
                result(summary, step, steps.size() > 1 ? told.email(new StepId(step.id())) : null));
  }

  private static MessageResult result(
      DryRunSummary summary, StepMeasures step, @Nullable String which) {
    var email = Objects.requireNonNull(step.email());
    return new MessageResult(
        summary.id(),
        summary.journeyId(),
        summary.journeyName(),
        step.id(),
        which,
        summary.people(),
        summary.madeAt().toEpochSecond(),
        email.delivered(),
        email.opened(),
        email.clicked());
  }

  /** A step that tries several messages is not told by one of them. */
  private static boolean sends(Step.Send send, MessageId message) {
    return send.versions().isEmpty() && send.message().equals(message);
  }
}
