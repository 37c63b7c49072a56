package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.ApiDocument;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.RunSheet;
import tools.jackson.databind.JsonNode;

/** What a user sends about a journey. */
final class JourneyEdits {
  private JourneyEdits() {}

  /** A new, empty journey. */
  record NewJourney(String name, Purpose purpose) {}

  /**
   * @param version the version it was read at
   */
  record JourneySave(int version, @Schema(ref = ApiDocument.JOURNEY) @Nullable JsonNode journey) {}

  /**
   * @param version the version they were read at
   */
  record BehaviourSave(
      int version, @Schema(ref = ApiDocument.BEHAVIOUR) @Nullable JsonNode behaviour) {}

  /** What a save that lost the race was to save, in words, to set beside what is saved now. */
  record LostSave(@Schema(ref = ApiDocument.JOURNEY) JsonNode journey, RunSheet sheet) {}
}
