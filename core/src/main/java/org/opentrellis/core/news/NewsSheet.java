package org.opentrellis.core.news;

import java.time.ZoneId;
import java.util.List;
import java.util.function.Function;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.newsletter.NewsletterSheet;
import org.opentrellis.core.sentence.Style;

/** What news on a rhythm does, as sentences to be read aloud. */
public final class NewsSheet {
  private NewsSheet() {}

  /**
   * In the order in which things happen.
   *
   * @param messages what messages are called
   * @param catalogue with the segments that are asked about
   * @param zone the account's
   */
  public static List<String> of(
      NewsSeries series, Function<MessageId, String> messages, Catalogue catalogue, ZoneId zone) {
    return NewsletterSheet.of(
        series.letter(),
        "Goes out %s in %s%s with what is new %s, the newest first. If nothing is new, nothing goes out."
            .formatted(
                series.rhythm().words(),
                zone,
                NewsletterSheet.over(series.letter().overHours()),
                source(series)),
        messages,
        catalogue);
  }

  private static String source(NewsSeries series) {
    return series.isFromSite()
        ? "on the site"
        : series.source().isBlank() ? "nowhere yet" : "at " + Style.quoted(series.source());
  }
}
