package org.opentrellis.app.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.app.http.Unclear;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.reading.WhoReading;
import org.opentrellis.core.sentence.Phrase;
import tools.jackson.databind.JsonNode;

/**
 * How a sentence about people was understood: either {@code meant} or {@code unclear} is there.
 *
 * @param completions ways to go on at the caret
 */
record WhoView(@Nullable WhoMeant meant, @Nullable Unclear unclear, List<Completion> completions) {

  /**
   * @param condition what it says, part by part; null if it says nothing
   * @param found how many people it means
   * @param news names in it that nothing uses, such as “list Newcomers”
   */
  record WhoMeant(
      Phrase sentence,
      @Schema(ref = Schemas.CONDITION) @Nullable JsonNode condition,
      long found,
      List<String> news) {}

  static WhoView of(WhoReading.Meant meant, long found, List<Completion> completions) {
    return new WhoView(
        new WhoMeant(meant.sentence(), ChosenWho.document(meant.who()), found, meant.news()),
        null,
        completions);
  }

  static WhoView of(Reading.Refused refused, List<Completion> completions) {
    return new WhoView(null, Unclear.of(refused), completions);
  }
}
