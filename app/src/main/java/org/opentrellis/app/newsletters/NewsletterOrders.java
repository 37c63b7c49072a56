package org.opentrellis.app.newsletters;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** What users ask of newsletters. */
final class NewsletterOrders {
  private NewsletterOrders() {}

  /**
   * What a new one is to be called.
   *
   * @param name null for any that is free
   */
  record NewNewsletter(@Nullable String name) {}

  /**
   * A newsletter as it is to be kept.
   *
   * @param version that was changed
   */
  record NewsletterDraft(@Schema(ref = Schemas.NEWSLETTER) JsonNode newsletter, int version) {}

  /** A newsletter that is being changed. */
  record NewsletterGiven(@Schema(ref = Schemas.NEWSLETTER) JsonNode newsletter) {}

  /**
   * It is to go out.
   *
   * @param version that was looked at
   * @param now at the next minute, instead of when it says
   * @param people how many were said to get it
   * @param evenSoMany whether it goes to more people than usual
   */
  record NewsletterPlan(int version, boolean now, long people, boolean evenSoMany) {}

  /**
   * It goes out at another time.
   *
   * @param at null for the same time of day
   */
  record NewsletterMove(int version, LocalDate date, @Nullable LocalTime at) {}

  /**
   * More like one, each later than the one before by the same.
   *
   * @param count so many, without the one that is there
   * @param every so many of the unit apart
   */
  record NewsletterRun(int count, int every, RunUnit unit) {}

  /** What a run of newsletters goes by. */
  enum RunUnit {
    DAYS,
    WEEKS,
    MONTHS
  }
}
