package org.opentrellis.app.dryruns;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.ApiDocument;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.RunSheet;
import tools.jackson.databind.JsonNode;

/** A dry run whole: the journey and assumptions it was made with, and what it showed. */
public record DryRunView(
    DryRunSummary run,
    @Schema(ref = ApiDocument.JOURNEY) JsonNode journey,
    @Schema(ref = ApiDocument.JOURNEY) JsonNode expanded,
    RunSheet sheet,
    @Schema(ref = ApiDocument.BEHAVIOUR) JsonNode behaviour,
    RunMeasures measures,
    List<String> summary) {}
