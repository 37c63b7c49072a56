package org.opentrellis.app.arrangements;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * What is to be done with steps.
 *
 * @param journey as it is on the screen, saved or not
 * @param rows the chosen steps and arms
 * @param below the row to put them below; for moving and pasting
 * @param steps what to paste
 * @param number how many tries, hours or days
 * @param message what to send
 * @param field the date to remind of
 * @param name what to call the strand that is made
 */
record ArrangementOrder(
    @Schema(ref = Schemas.JOURNEY) JsonNode journey,
    Action action,
    Set<String> rows,
    @Nullable String below,
    @ArraySchema(schema = @Schema(ref = Schemas.STEP)) @Nullable List<JsonNode> steps,
    @Nullable Integer number,
    @Nullable String message,
    @Nullable String field,
    @Nullable String name) {

  enum Action {
    MOVE,
    UP,
    DOWN,
    IN,
    OUT,
    COPY,
    DUPLICATE,
    PASTE,
    REMOVE,
    /** Makes a strand of the rows, called {@code name}; it is yet to be kept. */
    GATHER,
    /** The same email once more, {@code number} times, for those who have not opened it. */
    TRY_AGAIN,
    /** A text {@code number} hours after an email, for those who have not opened it. */
    TEXT_THE_REST,
    /** Reminders {@code number} days before a date and on the day. */
    REMIND
  }
}
