package org.opentrellis.app.news;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import tools.jackson.databind.JsonNode;

/** What users ask of news on a rhythm. */
final class NewsOrders {
  private NewsOrders() {}

  /**
   * What a new series is to be called.
   *
   * @param name null for any that is free
   */
  record NewSeries(@Nullable String name) {}

  /**
   * A series as it is to be kept.
   *
   * @param version that was changed
   */
  record SeriesDraft(@Schema(ref = Schemas.NEWS_SERIES) JsonNode series, int version) {}

  /** A series that is being changed. */
  record SeriesGiven(@Schema(ref = Schemas.NEWS_SERIES) JsonNode series) {}

  /**
   * It is to be turned on, or to send an issue now.
   *
   * @param version that was looked at
   * @param people how many were said to get it
   * @param evenSoMany whether it goes to more people than usual
   */
  record SeriesGo(int version, long people, boolean evenSoMany) {}

  /** Whether the next issue is skipped. */
  record SeriesSkip(boolean skips) {}
}
