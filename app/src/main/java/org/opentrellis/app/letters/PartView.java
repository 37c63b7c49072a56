package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.app.http.Unclear;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.PartReading;
import tools.jackson.databind.JsonNode;

/**
 * How a typed part was understood: either {@code made} or {@code unclear} is there.
 *
 * @param completions ways to go on at the caret
 */
record PartView(@Nullable PartMade made, @Nullable Unclear unclear, List<Completion> completions) {

  /**
   * @param says how it was understood
   */
  record PartMade(@Schema(ref = Schemas.PART) JsonNode part, String says) {}

  static PartView of(PartReading reading) {
    return switch (reading.result()) {
      case PartReading.Made made ->
          new PartView(
              new PartMade(Documents.write(made.part()), made.says()), null, reading.completions());
      case PartReading.Unclear unclear ->
          new PartView(null, Unclear.of(unclear.refused()), reading.completions());
    };
  }
}
