package org.opentrellis.core.reading;

import java.util.List;
import org.opentrellis.core.message.Part;

/**
 * How a typed part of a message was understood.
 *
 * @param completions ways to go on at the caret
 */
public record PartReading(Result result, List<Completion> completions) {

  /** What became of it. */
  public sealed interface Result {}

  /**
   * @param says how it was understood, in the typed style
   */
  public record Made(Part part, String says) implements Result {}

  public record Unclear(Reading.Refused refused) implements Result {}
}
