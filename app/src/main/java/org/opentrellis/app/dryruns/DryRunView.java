package org.opentrellis.app.dryruns;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.report.JourneyReport;
import org.opentrellis.core.report.Outgoing;
import org.opentrellis.core.report.SendingLimits;
import org.opentrellis.core.sentence.RunSheet;
import tools.jackson.databind.JsonNode;

/**
 * A dry run whole: what it was made with, and what it showed.
 *
 * @param cohort who entered
 * @param cohortWords the same in a sentence
 * @param journeys by their numbers in the run
 * @param outgoing what goes out, from all of them together
 * @param limits how that stands to what the account may send
 * @param again what became of making it again; null if the figures are those of today's engine
 */
public record DryRunView(
    @Schema(ref = Schemas.COHORT) JsonNode cohort,
    String cohortWords,
    List<JourneyOfRun> journeys,
    Outgoing outgoing,
    List<SendingLimits.LimitLine> limits,
    @Nullable String again) {

  /** One journey of the run, as it was. */
  public record JourneyOfRun(
      DryRunSummary run,
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      @Schema(ref = Schemas.JOURNEY) JsonNode expanded,
      RunSheet sheet,
      @Schema(ref = Schemas.BEHAVIOUR) JsonNode behaviour,
      JourneyReport report) {}
}
