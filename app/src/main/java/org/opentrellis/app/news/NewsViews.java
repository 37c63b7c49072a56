package org.opentrellis.app.news;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.app.newsletters.NewsletterFault;
import tools.jackson.databind.JsonNode;

/** What users are told of news on a rhythm. Moments are epoch seconds. */
final class NewsViews {
  private NewsViews() {}

  /**
   * A series in a list.
   *
   * @param rhythm when it goes, in words
   * @param nextAt when the next issue goes; null while it is off
   * @param last what became of the last moment; empty for none
   */
  record SeriesLine(
      long id, String name, String rhythm, @Nullable Long nextAt, boolean skipsNext, String last) {}

  /**
   * A series.
   *
   * @param whoSays who gets it, as it is typed; empty for everybody, and while it is not said
   * @param butNotSays who of them does not, as it is typed; empty for nobody
   * @param review what it does, in sentences
   * @param people how many get it, as people are now
   * @param nextAt when the next issue goes; null while it is off
   * @param issues what became of its moments, the latest first
   */
  record SeriesView(
      long id,
      int version,
      boolean on,
      @Schema(ref = Schemas.NEWS_SERIES) JsonNode series,
      String whoSays,
      String butNotSays,
      List<String> review,
      List<NewsletterFault> findings,
      long people,
      @Nullable Long nextAt,
      boolean skipsNext,
      List<SeriesIssue> issues) {}

  /**
   * What became of a moment.
   *
   * @param newsletter that it went out as; null for none
   * @param titles of the news in it
   */
  record SeriesIssue(
      long at,
      IssueRow.Outcome outcome,
      @Nullable Long newsletter,
      String says,
      List<String> titles) {}

  /**
   * How a series would be that is being changed, and its next issue.
   *
   * @param whoSays who gets it, as it is typed; empty for everybody, and while it is not said
   * @param butNotSays who of them does not, as it is typed; empty for nobody
   * @param at when that would go
   * @param fault why the source cannot be read, as a sentence; empty if it can
   * @param leftOut so much is new besides, and more than the message shows
   * @param says what is to be known of it
   * @param html the message with it; empty if there is none
   */
  record SeriesLook(
      String whoSays,
      String butNotSays,
      List<String> review,
      List<NewsletterFault> findings,
      long people,
      long at,
      String fault,
      List<SeriesEntry> entries,
      int leftOut,
      List<String> says,
      String html) {}

  /**
   * A piece of news.
   *
   * @param address of its page; empty if it has none
   * @param postedAt null if the source does not say when
   */
  record SeriesEntry(String title, String words, String address, @Nullable Long postedAt) {}
}
