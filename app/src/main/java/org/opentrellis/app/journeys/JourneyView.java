package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.format.JourneyWriter;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.sentence.RunSheet;

/** A journey as the API gives it: the document, in words, and what is wrong with it. */
public record JourneyView(
    long id,
    int version,
    OffsetDateTime savedAt,
    JourneyDocument journey,
    RunSheet sheet,
    List<FindingView> findings,
    BehaviourDocument behaviour,
    int behaviourVersion) {

  /**
   * @param step the step it is about, or null for the whole journey
   */
  public record FindingView(
      String code,
      Severity severity,
      @Nullable String step,
      String sentence,
      @Nullable FixView fix) {

    static FindingView of(Finding finding) {
      return new FindingView(
          finding.code(),
          finding.severity(),
          finding.step().map(StepId::value).orElse(null),
          finding.sentence(),
          finding
              .fix()
              .map(fix -> new FixView(fix.label(), JourneyWriter.write(fix.mended())))
              .orElse(null));
    }
  }

  /**
   * @param label what a button that does it says
   * @param journey the journey after it
   */
  public record FixView(String label, JourneyDocument journey) {}
}
