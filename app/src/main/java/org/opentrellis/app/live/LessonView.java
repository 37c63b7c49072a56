package org.opentrellis.app.live;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.calibrate.Lesson;
import org.opentrellis.core.measure.Share;
import tools.jackson.databind.JsonNode;

/**
 * What the people who came say about what is assumed of a journey; nothing is saved yet.
 *
 * @param sentences what was measured of all messages, of how many, with intervals
 * @param lessons value by value
 * @param verdict how many of them differ from what was assumed by more than chance
 * @param goal what a dry run of new people makes of it; null for a journey without a goal
 * @param behaviour the assumptions with what was measured in them
 */
record LessonView(
    List<String> sentences,
    List<LessonLine> lessons,
    String verdict,
    @Nullable GoalThen goal,
    @Schema(ref = Schemas.BEHAVIOUR) JsonNode behaviour) {

  /**
   * @param step that it is told of; null if it holds for all
   * @param differs whether it is not what was assumed, by more than chance
   */
  record LessonLine(
      Lesson.About about,
      @Nullable String step,
      Lesson.Unit unit,
      double before,
      double now,
      double low,
      double high,
      long count,
      boolean differs) {
    static LessonLine of(Lesson lesson) {
      return new LessonLine(
          lesson.about(),
          lesson.step().map(step -> step.value()).orElse(null),
          lesson.about().unit(),
          lesson.before(),
          lesson.now().value(),
          lesson.now().low(),
          lesson.now().high(),
          lesson.now().count(),
          lesson.differs());
    }
  }

  /**
   * The goal in dry runs of the same simulated people.
   *
   * @param before with what was assumed
   * @param now with what was measured
   * @param sentence the two in words
   */
  record GoalThen(Share before, Share now, String sentence) {}
}
