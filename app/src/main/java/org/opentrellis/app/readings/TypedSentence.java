package org.opentrellis.app.readings;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A sentence as it stands while it is typed.
 *
 * @param journey as it is on the screen, saved or not
 * @param row the step, arm or line it is about
 * @param replaces whether it takes the place of the row's sentence, or adds something below
 * @param caret where completions are wanted, in characters from its start
 */
record TypedSentence(
    @Schema(ref = Schemas.JOURNEY) JsonNode journey,
    String row,
    boolean replaces,
    String text,
    int caret) {}
