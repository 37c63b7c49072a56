package org.opentrellis.app.journeys;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.sentence.DifferenceLine;
import tools.jackson.databind.JsonNode;

/**
 * A saved version of a journey.
 *
 * @param saves how many saves by the same hand shortly after each other it stands for
 * @param savedBy what whoever saved it signs with, if they do
 * @param name given by hand, if one was
 */
record VersionView(
    int version,
    OffsetDateTime savedAt,
    int saves,
    @Nullable String savedBy,
    @Nullable String name) {

  /**
   * One version, and what has changed between it and now.
   *
   * @param difference what the journey says now, against what it said then
   */
  record WholeVersion(
      int version,
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      List<DifferenceLine> difference) {}

  /** A name for a version; null takes it away. */
  record VersionNaming(@Nullable String name) {}
}
