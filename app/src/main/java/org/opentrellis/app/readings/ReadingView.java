package org.opentrellis.app.readings;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.app.http.Unclear;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.reading.Completion;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.RunSheet;
import tools.jackson.databind.JsonNode;

/**
 * How a sentence was understood: either {@code understood} or {@code refused} is there.
 *
 * @param completions ways to go on at the caret
 */
record ReadingView(
    @Nullable UnderstoodView understood, @Nullable Unclear refused, List<Completion> completions) {

  /**
   * @param journey the journey after it
   * @param selected the row it is about
   * @param below the row that what is typed next comes below
   * @param sentences what is new, as the run sheet says it
   * @param messages those that it sends and that are not there yet; whoever accepts it writes them
   * @param news names that nothing has used so far, such as “new list Newcomers”
   * @param shared messages that other journeys send, too, in words
   * @param sheet the run sheet after it
   */
  record UnderstoodView(
      @Schema(ref = Schemas.JOURNEY) JsonNode journey,
      String selected,
      String below,
      List<Phrase> sentences,
      List<NewMessage> messages,
      List<String> news,
      List<String> shared,
      RunSheet sheet) {}

  /**
   * A message to be written.
   *
   * @param content an email's subject, or a text's words
   */
  record NewMessage(
      String id,
      String name,
      @Schema(ref = Schemas.MESSAGE_CONTENT) JsonNode content,
      List<String> links) {}

  /**
   * @param shared messages that other journeys send, too, in words
   * @param sheet the run sheet after it
   */
  static ReadingView of(
      Reading.Understood understood,
      List<String> shared,
      RunSheet sheet,
      List<Completion> completions) {
    return new ReadingView(view(understood, shared, sheet), null, completions);
  }

  static ReadingView of(Reading.Refused refused, List<Completion> completions) {
    return new ReadingView(null, Unclear.of(refused), completions);
  }

  private static UnderstoodView view(
      Reading.Understood understood, List<String> shared, RunSheet sheet) {
    return new UnderstoodView(
        Documents.write(understood.journey()),
        understood.selected(),
        understood.below(),
        understood.sentences(),
        understood.written().stream().map(ReadingView::view).toList(),
        understood.news(),
        shared,
        sheet);
  }

  private static NewMessage view(Message message) {
    return new NewMessage(
        message.id().value(),
        message.name(),
        Documents.write(message).get("content"),
        message.links().stream().map(LinkName::value).toList());
  }
}
