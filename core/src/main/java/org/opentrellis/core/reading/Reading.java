package org.opentrellis.core.reading;

import java.util.List;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.sentence.Phrase;

/**
 * How a typed text was understood.
 *
 * @param result what it comes to, or why it was not understood
 * @param completions ways to go on at the caret
 */
public record Reading(Result result, List<Completion> completions) {

  /** What became of it. */
  public sealed interface Result {}

  /**
   * @param journey the journey after it
   * @param selected the step, arm or line that it is about
   * @param below the row that what is typed next comes below; the row it was typed at if this was a
   *     line about the journey
   * @param sentences what is new, as the run sheet says it
   * @param written the messages that it sends and that are not there yet, and others that get a
   *     link; they are to be written once it is accepted
   * @param news the names that nothing has used so far, such as “new list Newcomers”
   */
  public record Understood(
      Journey journey,
      String selected,
      String below,
      List<Phrase> sentences,
      List<Message> written,
      List<String> news)
      implements Result {}

  /**
   * @param why a sentence that says what is wrong and what could stand there, or a question
   * @param from where, in characters from the start of the text
   * @param to the end of it
   * @param asks whether nothing is wrong, and only an answer is missing
   * @param offers answers and corrections, the nearest first
   */
  public record Refused(String why, int from, int to, boolean asks, List<Suggestion> offers)
      implements Result {}
}
