package org.opentrellis.app.newsletters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** What users are told of newsletters. Moments are epoch seconds. */
final class NewsletterViews {
  private NewsletterViews() {}

  /**
   * A newsletter in a list.
   *
   * @param message what its message is called; null if it has none yet
   * @param firstAt when it comes to the first; null while that is not said
   * @param people how many get it, as they are now or were when it was planned
   * @param sent to how many it has gone
   */
  record NewsletterLine(
      long id,
      String name,
      NewsletterPhase phase,
      @Nullable String message,
      @Nullable Long firstAt,
      boolean theirTime,
      long people,
      long sent) {}

  /**
   * A newsletter.
   *
   * @param whoSays who gets it, as it is typed; empty for everybody, and while it is not said
   * @param butNotSays who of them does not, as it is typed; empty for nobody
   * @param review what it does, in sentences
   * @param says what is to be known of it as it is: its numbers, its state and what came of it
   */
  record NewsletterView(
      long id,
      int version,
      NewsletterPhase phase,
      @Schema(ref = Schemas.NEWSLETTER) JsonNode newsletter,
      String whoSays,
      String butNotSays,
      List<String> review,
      List<NewsletterFault> findings,
      long people,
      @Nullable Long firstAt,
      @Nullable Long lastAt,
      List<String> says,
      List<NewsletterStep> steps) {}

  /**
   * How a newsletter would be that is being changed.
   *
   * @param whoSays who gets it, as it is typed; empty for everybody, and while it is not said
   * @param butNotSays who of them does not, as it is typed; empty for nobody
   * @param people how many get it as they are now
   */
  record NewsletterLook(
      String whoSays,
      String butNotSays,
      List<String> review,
      List<NewsletterFault> findings,
      long people,
      List<String> says) {}

  /**
   * What became of one of its messages.
   *
   * @param step by which reports know it
   * @param name what it is, such as “once more”
   * @param opened of those delivered, with its 95% interval in [0, 1]; null where none was
   */
  record NewsletterStep(
      String step,
      String name,
      boolean text,
      long sent,
      long delivered,
      long bounced,
      @Nullable NewsletterShare opened,
      @Nullable NewsletterShare clicked,
      @Nullable NewsletterShare unsubscribed) {}

  /** A share with its 95% interval (Wilson), each in [0, 1]. */
  record NewsletterShare(long count, double share, double low, double high) {}
}
