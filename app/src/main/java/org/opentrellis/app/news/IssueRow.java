package org.opentrellis.app.news;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.news.NewsItem;

/**
 * What became of a moment of a series.
 *
 * @param at in epoch seconds
 * @param journeyId the newsletter that it goes out as; null for none
 * @param shown the news in it, as JSON
 * @param leftOut what was new besides, as JSON
 */
record IssueRow(
    long id,
    long seriesId,
    long at,
    Outcome outcome,
    @Nullable Long journeyId,
    String shown,
    String leftOut,
    String says) {

  /** What a moment can come to. */
  enum Outcome {
    /** It was turned on, and what stood there already is no news. */
    BEGUN,
    SENT,
    /** As a draft, for somebody to look at. */
    WAITS,
    NOTHING,
    SKIPPED,
    FAILED
  }

  /** The news in it. */
  List<NewsItem> newsShown() {
    return List.of(Json.read(shown, NewsItem[].class));
  }

  List<NewsItem> newsLeftOut() {
    return List.of(Json.read(leftOut, NewsItem[].class));
  }
}
