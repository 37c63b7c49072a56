package org.opentrellis.app.calibrations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.calibrate.FitCheck;
import tools.jackson.databind.JsonNode;

/**
 * What a history says; nothing is saved yet.
 *
 * @param sentences what was measured, of how many, with intervals
 * @param checks the fitted model beside the history, a line for each message that the journey sends
 * @param unknown messages of the history that the journey does not send
 * @param behaviour the journey's assumptions with what was measured in them
 */
record CalibrationView(
    List<String> sentences,
    List<FitCheck> checks,
    List<String> unknown,
    @Schema(ref = Schemas.BEHAVIOUR) JsonNode behaviour) {}
