package org.opentrellis.app.walks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/**
 * A walk of one person through a journey.
 *
 * @param journey as it is on the screen; null for as it is saved
 * @param walker who walks, and what they do
 */
record WalkOrder(@Schema(ref = Schemas.JOURNEY) @Nullable JsonNode journey, Walker walker) {

  /**
   * Who walks.
   *
   * @param group the audience group they are of, by its place
   * @param number which of its people, where the model decides
   * @param start when they come, in their own time
   * @param tags that they have
   * @param lists that they are on
   * @param agreesToTexts whether they may be sent texts
   * @param choices what they do with each message, in the order they get them
   * @param lots the arm that each lot gives, by step; the model draws the others
   * @param modelDecides whether the model decides what no choice is made about
   */
  record Walker(
      int group,
      int number,
      LocalDateTime start,
      Set<String> tags,
      Set<String> lists,
      boolean agreesToTexts,
      List<WalkChoice> choices,
      Map<String, Integer> lots,
      boolean modelDecides) {}

  /**
   * What they do with a message.
   *
   * @param step the step that sends it; a choice about another step is not taken
   * @param hours how long after they got it they open it
   * @param link the link they click, by its place in the message
   */
  record WalkChoice(String step, Does does, double hours, int link) {}

  /** What can be done with a message. */
  enum Does {
    MODEL,
    IGNORE,
    OPEN,
    CLICK,
    BUY,
    UNSUBSCRIBE,
    BOUNCE
  }
}
