package org.opentrellis.app.people;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.reading.Suggestion;
import org.opentrellis.core.reading.WhoReading;
import org.opentrellis.core.sentence.Phrase;
import tools.jackson.databind.JsonNode;

/**
 * How a sentence about people was understood: either {@code meant} or {@code unclear} is there.
 *
 * @param completions ways to go on at the caret
 */
record WhoView(
    @Nullable WhoMeant meant, @Nullable WhoUnclear unclear, List<Completion> completions) {

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

  /**
   * @param why a sentence that says what is wrong and what could stand there, or a question
   * @param from where, in characters from the start of the sentence
   * @param to the end of it
   * @param asks whether nothing is wrong, and only an answer is missing
   * @param offers answers and corrections, the nearest first
   */
  record WhoUnclear(String why, int from, int to, boolean asks, List<Suggestion> offers) {}

  static WhoView of(WhoReading.Meant meant, long found, List<Completion> completions) {
    return new WhoView(
        new WhoMeant(meant.sentence(), ChosenWho.document(meant.who()), found, meant.news()),
        null,
        completions);
  }

  static WhoView of(Reading.Refused refused, List<Completion> completions) {
    return new WhoView(
        null,
        new WhoUnclear(
            refused.why(), refused.from(), refused.to(), refused.asks(), refused.offers()),
        completions);
  }
}
