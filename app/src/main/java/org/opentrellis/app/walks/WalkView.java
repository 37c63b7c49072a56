package org.opentrellis.app.walks;

import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.story.StoryLine;

/**
 * How far a walk has come.
 *
 * @param lines what has happened
 * @param ask the message about which a choice is wanted next; null if there is none
 * @param route the steps and arms they have come through, in order
 * @param end how it ends, or null while a choice is wanted
 */
record WalkView(
    List<StoryLine> lines, @Nullable WalkAsk ask, List<String> route, @Nullable String end) {

  /**
   * @param step the step that sends it
   * @param when they get it, in their own time
   * @param links that can be clicked
   */
  record WalkAsk(String step, String message, String when, List<String> links) {}

  /** How a walk came out, to be compared with later. */
  record Outcome(List<String> route, String end) {}

  /**
   * A walk that is kept as a test.
   *
   * @param same whether it comes out as it did
   * @param sentence how it comes out now
   */
  record KeptWalkView(
      long id,
      String name,
      OffsetDateTime keptAt,
      WalkOrder.Walker walker,
      boolean same,
      String sentence) {}

  /** A walk to keep. */
  record KeepWalk(String name, WalkOrder.Walker walker) {}
}
