package org.opentrellis.app.http;

import java.util.List;
import org.opentrellis.core.reading.Reading;
import org.opentrellis.core.reading.Suggestion;

/**
 * Why something typed was not understood.
 *
 * @param why a sentence that says what is wrong and what could stand there, or a question
 * @param from where, in characters from the start
 * @param to the end of it
 * @param asks whether nothing is wrong, and only an answer is missing
 * @param offers answers and corrections, the nearest first
 */
public record Unclear(String why, int from, int to, boolean asks, List<Suggestion> offers) {
  public static Unclear of(Reading.Refused refused) {
    return new Unclear(
        refused.why(), refused.from(), refused.to(), refused.asks(), refused.offers());
  }
}
