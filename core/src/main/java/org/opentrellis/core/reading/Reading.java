package org.opentrellis.core.reading;

import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.sentence.Phrase;

/**
 * How a typed sentence was understood.
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
   * @param sentences what is new, as the run sheet says it
   */
  public record Understood(Journey journey, String selected, List<Phrase> sentences)
      implements Result {}

  /**
   * @param why a sentence that says what is wrong and what could stand there
   * @param from where, in characters from the start of the sentence
   * @param to the end of it
   * @param missing a message that is named and is not there yet
   */
  public record Refused(String why, int from, int to, Optional<Missing> missing)
      implements Result {}

  /**
   * A message to be written first.
   *
   * @param text whether it is a text, not an email
   */
  public record Missing(String name, boolean text) {}
}
