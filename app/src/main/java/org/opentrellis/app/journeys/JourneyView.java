package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.report.QuickLook;
import org.opentrellis.core.sentence.Inside;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.sentence.StateChange;
import org.opentrellis.core.sentence.StateWords;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A journey as the API gives it: the document, in words, and what is wrong with it.
 *
 * @param journey as it is written
 * @param expanded with the steps of its strands in place; null if it has none
 * @param state its state in words
 * @param stateChanges what can be done with its state, and what that means
 * @param mailLeavesTo the server that its mail leaves this machine to; null if it stays here
 * @param archived whether it has been put away
 * @param starter the starter that it began from, if it did
 * @param estimate what a few people would do in it, if that is at hand; else it is to be asked for
 */
public record JourneyView(
    long id,
    int version,
    OffsetDateTime savedAt,
    @Schema(ref = Schemas.JOURNEY) JsonNode journey,
    @Schema(ref = Schemas.JOURNEY) @Nullable JsonNode expanded,
    RunSheet sheet,
    List<FindingView> findings,
    @Schema(ref = Schemas.BEHAVIOUR) JsonNode behaviour,
    int behaviourVersion,
    StateWords state,
    List<StateChange> stateChanges,
    @Nullable String mailLeavesTo,
    boolean archived,
    @Nullable String starter,
    @Nullable QuickLook estimate) {

  static JourneyView of(Look look, Running running) {
    KeptJourney kept = look.kept();
    JsonNode document = Documents.write(kept.journey());
    Journey whole = Strands.expand(kept.journey(), look.catalogue());
    Inside inside = inside(look, whole, running);
    return new JourneyView(
        kept.id(),
        kept.version(),
        kept.savedAt(),
        document,
        whole.equals(kept.journey()) ? null : Documents.write(whole),
        look.sheet(),
        look.findings().stream().map(finding -> FindingView.of(finding, document)).toList(),
        Documents.write(kept.behaviour()),
        kept.behaviourVersion(),
        StateWords.of(kept.journey().state(), inside),
        StateChange.of(kept.journey(), look.catalogue(), inside),
        running.mailLeavesTo().orElse(null),
        kept.archived(),
        kept.starter(),
        null);
  }

  JourneyView with(@Nullable QuickLook other) {
    return new JourneyView(
        id,
        version,
        savedAt,
        journey,
        expanded,
        sheet,
        findings,
        behaviour,
        behaviourVersion,
        state,
        stateChanges,
        mailLeavesTo,
        archived,
        starter,
        other);
  }

  /**
   * @param whole the journey with the steps of its strands in place
   */
  private static Inside inside(Look look, Journey whole, Running running) {
    KeptJourney kept = look.kept();
    Map<String, Long> atSteps = running.insideAtSteps(kept.id());
    Set<String> steps = whole.steps().map(step -> step.id().value()).collect(Collectors.toSet());
    long gone =
        atSteps.entrySet().stream()
            .filter(at -> !steps.contains(at.getKey()))
            .mapToLong(Map.Entry::getValue)
            .sum();
    return new Inside(
        atSteps.values().stream().mapToLong(Long::longValue).sum(),
        gone,
        running.changedSinceOpened(kept.id(), kept.journey(), look.catalogue()));
  }

  /**
   * @param step the step it is about, or null for the whole journey
   */
  public record FindingView(
      String code,
      Severity severity,
      @Nullable String step,
      String sentence,
      @Nullable FixView fix) {

    /**
     * @param document of the journey
     */
    static FindingView of(Finding finding, JsonNode document) {
      return new FindingView(
          finding.code(),
          finding.severity(),
          finding.step().map(StepId::value).orElse(null),
          finding.sentence(),
          finding
              .fix()
              .map(
                  fix -> new FixView(fix.label(), changes(document, Documents.write(fix.mended()))))
              .orElse(null));
    }
  }

  /**
   * @param label what a button that does it says
   * @param changes the members of the journey that are others after it
   */
  public record FixView(
      String label,
      @Schema(type = "object", additionalProperties = Schema.AdditionalPropertiesValue.TRUE)
          JsonNode changes) {}

  private static JsonNode changes(JsonNode before, JsonNode after) {
    ObjectNode changes = ((ObjectNode) after).objectNode();
    after
        .properties()
        .forEach(
            member -> {
              if (!member.getValue().equals(before.get(member.getKey()))) {
                changes.set(member.getKey(), member.getValue());
              }
            });
    return changes;
  }
}
