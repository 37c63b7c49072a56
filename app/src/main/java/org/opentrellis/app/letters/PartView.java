package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.PartReading;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.reading.Suggestion;
import tools.jackson.databind.JsonNode;

/**
 * How a typed part was understood: either {@code made} or {@code unclear} is there.
 *
 * @param completions ways to go on at the caret
 */
record PartView(
    @Nullable PartMade made, @Nullable PartUnclear unclear, List<Completion> completions) {

  /**
   * @param says how it was understood
   */
  record PartMade(@Schema(ref = Schemas.PART) JsonNode part, String says) {}

  /**
   * @param why a sentence that says what is wrong and what could stand there
   * @param from where, in characters from the start
   * @param to the end of it
   * @param asks whether nothing is wrong, and only an answer is missing
   * @param offers answers and corrections, the nearest first
   */
  record PartUnclear(String why, int from, int to, boolean asks, List<Suggestion> offers) {}

  static PartView of(PartReading reading) {
    return switch (reading.result()) {
      case PartReading.Made made ->
          new PartView(
              new PartMade(Documents.write(made.part()), made.says()), null, reading.completions());
      case PartReading.Unclear unclear ->
          new PartView(null, unclear(unclear.refused()), reading.completions());
    };
  }

  private static PartUnclear unclear(Reading.Refused refused) {
    return new PartUnclear(
        refused.why(), refused.from(), refused.to(), refused.asks(), refused.offers());
  }
}
