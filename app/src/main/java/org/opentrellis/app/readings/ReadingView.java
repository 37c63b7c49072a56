package org.opentrellis.app.readings;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.sentence.Phrase;
import tools.jackson.databind.JsonNode;

/**
 * How a sentence was understood: either {@code understood} or {@code refused} is there.
 *
 * @param completions ways to go on at the caret
 */
record ReadingView(
    @Nullable UnderstoodView understood,
    @Nullable RefusedView refused,
    List<Completion> completions) {

  /**
   * @param journey the journey after it
   * @param selected the row it is about
   * @param sentences what is new, as the run sheet says it
   */
  record UnderstoodView(
      @Schema(ref = Schemas.JOURNEY) JsonNode journey, String selected, List<Phrase> sentences) {}

  /**
   * @param why a sentence that says what is wrong and what could stand there
   * @param from where, in characters from the start of the sentence
   * @param to the end of it
   * @param missing a message that is named and is not there yet
   */
  record RefusedView(String why, int from, int to, Reading.@Nullable Missing missing) {}

  static ReadingView of(Reading reading) {
    return switch (reading.result()) {
      case Reading.Understood understood ->
          new ReadingView(view(understood), null, reading.completions());
      case Reading.Refused refused -> new ReadingView(null, view(refused), reading.completions());
    };
  }

  private static UnderstoodView view(Reading.Understood understood) {
    return new UnderstoodView(
        Documents.write(understood.journey()), understood.selected(), understood.sentences());
  }

  private static RefusedView view(Reading.Refused refused) {
    return new RefusedView(
        refused.why(), refused.from(), refused.to(), refused.missing().orElse(null));
  }
}
