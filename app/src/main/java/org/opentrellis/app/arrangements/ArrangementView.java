package org.opentrellis.app.arrangements;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.arrange.Arranged;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
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
   * @param strand the one that was made of them, which is yet to be kept
   */
  record DoneView(
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      @ArraySchema(schema = @Schema(ref = Schemas.STEP)) List<JsonNode> steps,
      @Schema(ref = Schemas.STRAND) @Nullable JsonNode strand) {}

  static ArrangementView of(Arranged arranged) {
    return switch (arranged) {
      case Arranged.Refused refused -> new ArrangementView(null, refused.why());
      case Arranged.Done done -> done(done.journey(), done.steps(), null);
      case Arranged.Gathered gathered ->
          done(gathered.journey(), gathered.steps(), Documents.write(gathered.strand()));
    };
  }

  private static ArrangementView done(
      Journey journey, List<Step> about, @Nullable JsonNode strand) {
    List<JsonNode> steps = new ArrayList<>();
    Documents.write(journey.withBody(about)).get("body").forEach(steps::add);
    return new ArrangementView(new DoneView(Documents.write(journey), steps, strand), null);
  }
}
