package org.opentrellis.core.reading;

import java.util.List;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.sentence.Phrase;

/**
 * How a sentence about people was understood.
 *
 * @param result who is meant, or why it was not understood
 * @param completions ways to go on at the caret
 */
public record WhoReading(Result result, List<Completion> completions) {

  /** What became of it. */
  public sealed interface Result permits Meant, Unclear {}

  /**
   * @param who holds for those who are meant
   * @param sentence how it is said
   * @param news names that nothing has used so far, such as “list Newcomers”: so nobody is found
   */
  public record Meant(Condition who, Phrase sentence, List<String> news) implements Result {}

  /**
   * @param refused what is wrong or missing, and where
   */
  public record Unclear(Reading.Refused refused) implements Result {}
}
