package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.sentence.DifferenceLine;
import tools.jackson.databind.JsonNode;

/** What a user sends about a journey. */
final class JourneyEdits {
  private JourneyEdits() {}

  /** A new, empty journey. */
  record NewJourney(String name, Purpose purpose) {}

  /**
   * @param version the version it was read at
   * @param by what whoever saves it signs with, if they do
   */
  record JourneySave(
      int version, @Schema(ref = Schemas.JOURNEY) JsonNode journey, @Nullable String by) {}

  /**
   * @param version the version whose findings and people were seen
   * @param finishBegun of those inside, when a journey is opened: whether they finish on the plan
   *     that they began; else they go on with the new one
   */
  record StateSave(
      int version, JourneyState state, @Nullable String by, @Nullable Boolean finishBegun) {}

  /**
   * @param version the version they were read at
   */
  record BehaviourSave(int version, @Schema(ref = Schemas.BEHAVIOUR) JsonNode behaviour) {}

  /**
   * What a save that lost the race was to save.
   *
   * @param difference what it says, against what is saved now
   * @param changedHere the rows of these in which it differs from the version it was read at
   */
  record LostSave(
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      List<DifferenceLine> difference,
      List<String> changedHere) {}
}
