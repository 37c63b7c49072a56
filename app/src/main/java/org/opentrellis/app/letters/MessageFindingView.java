package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.core.proofreading.MessageFinding;
import tools.jackson.databind.JsonNode;

/**
 * Something that is wrong with a message, or could be better.
 *
 * @param part where; null for the head or the whole
 */
record MessageFindingView(
    String code,
    Severity severity,
    @Nullable String part,
    String sentence,
    @Nullable MessageFixView fix) {

  /**
   * @param label what a button that does it says
   */
  record MessageFixView(String label, @Schema(ref = Schemas.MANUSCRIPT) JsonNode manuscript) {}

  static MessageFindingView of(MessageFinding finding) {
    return new MessageFindingView(
        finding.code(),
        finding.severity(),
        finding.part().map(PartId::value).orElse(null),
        finding.sentence(),
        finding
            .fix()
            .map(fix -> new MessageFixView(fix.label(), Documents.write(fix.mended())))
            .orElse(null));
  }
}
