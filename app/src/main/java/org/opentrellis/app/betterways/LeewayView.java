package org.opentrellis.app.betterways;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.search.Proposal;
import tools.jackson.databind.JsonNode;

/**
 * Something that may vary, with what would be tried of it.
 *
 * @param id names it as long as its step is there
 * @param step the step that it is about; null for a rule of the whole journey
 * @param subject what varies, in words
 * @param levels all that is tried, in a word or two each
 * @param today the place of what the journey says now
 * @param sentence subject and levels as one sentence
 * @param usual whether it varies unless somebody chooses
 */
record LeewayView(
    String id,
    @Nullable String step,
    @Schema(ref = Schemas.LEEWAY) JsonNode leeway,
    String subject,
    List<String> levels,
    int today,
    String sentence,
    boolean usual) {

  static LeewayView of(Proposal proposal) {
    return new LeewayView(
        proposal.id(),
        proposal.step(),
        Documents.write(proposal.leeway()),
        proposal.subject(),
        proposal.levels(),
        proposal.today(),
        proposal.sentence(),
        proposal.usual());
  }
}
