package org.opentrellis.app.arrangements;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.arrange.Arranged;
import org.opentrellis.core.format.Documents;
import tools.jackson.databind.JsonNode;

/**
 * What became of it: either {@code done} or {@code refused} is there.
 *
 * @param refused why nothing was changed
 */
record ArrangementView(@Nullable DoneView done, @Nullable String refused) {

  /**
   * @param journey after it
   * @param steps those it was about
   */
  record DoneView(
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      @ArraySchema(schema = @Schema(ref = Schemas.STEP)) List<JsonNode> steps) {}

  static ArrangementView of(Arranged arranged) {
    return switch (arranged) {
      case Arranged.Refused refused -> new ArrangementView(null, refused.why());
      case Arranged.Done done -> new ArrangementView(done(done), null);
    };
  }

  private static DoneView done(Arranged.Done done) {
    List<JsonNode> steps = new ArrayList<>();
    Documents.write(done.journey().withBody(done.steps())).get("body").forEach(steps::add);
    return new DoneView(Documents.write(done.journey()), steps);
  }
}
