package org.opentrellis.core.news;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.message.WebAddress;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterChecks;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.problem.Severity;

/** Looks through news on a rhythm for what keeps it from going out. */
public final class NewsChecks {
  private NewsChecks() {}

  /**
   * Errors first; places are JSON Pointers into the series.
   *
   * @param shown so many entries the message shows; 0 if no list of news stands in it
   */
  public static List<NewsletterFinding> of(
      NewsSeries series, int shown, NewsletterChecks.Surroundings around) {
    List<NewsletterFinding> found = new ArrayList<>();
    for (NewsletterFinding one : NewsletterChecks.of(next(series, around.now()), around)) {
      found.add(
          new NewsletterFinding(
              one.code(), one.severity(), "/letter" + one.place(), one.sentence()));
    }
    if (series.letter().message().isPresent() && shown == 0) {
      found.add(
          error(
              "no-news-part",
              "/letter/message",
              "No list of news stands in the message: put the part in, or choose another."));
    }
    if (!series.isFromSite()) {
      source(series.source()).ifPresent(found::add);
    }
    found.sort(Comparator.comparing(NewsletterFinding::severity));
    return found;
  }

  /** The issue that would go next. */
  private static Newsletter next(NewsSeries series, LocalDateTime now) {
    LocalDateTime moment = series.rhythm().after(now);
    return series
        .letter()
        .going(Optional.of(new Going(moment.toLocalDate(), moment.toLocalTime(), false)));
  }

  private static Optional<NewsletterFinding> source(String source) {
    if (source.isBlank()) {
      return Optional.of(error("no-source", "/source", "Say where the news comes from."));
    }
    return WebAddress.refusal(source)
        .map(why -> error("no-address", "/source", "The source is " + why + "."));
  }

  private static NewsletterFinding error(String code, String place, String sentence) {
    return new NewsletterFinding(code, Severity.ERROR, place, sentence);
  }
}
