package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.entrance.EntranceFinding;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.problem.Severity;
import tools.jackson.databind.JsonNode;

/**
 * How an entrance would be.
 *
 * @param sheet what it asks and what happens then, in sentences
 * @param html its page, as people would see it
 */
record EntranceLook(List<String> sheet, List<Found> findings, String html) {

  /** A finding, with what one key makes of it if that mends it. */
  record Found(String code, Severity severity, String sentence, @Nullable Mend mend) {
    static Found of(EntranceFinding finding) {
      return new Found(
          finding.code(),
          finding.severity(),
          finding.sentence(),
          finding
              .mend()
              .map(mend -> new Mend(mend.words(), Documents.write(mend.entrance())))
              .orElse(null));
    }
  }

  /** What the key says, and the entrance as it is then. */
  record Mend(String words, @Schema(ref = Schemas.ENTRANCE) JsonNode entrance) {}
}
