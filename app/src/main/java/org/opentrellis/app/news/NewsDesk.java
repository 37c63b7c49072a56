package org.opentrellis.app.news;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.letters.ReadAlone;
import org.opentrellis.app.news.NewsOrders.SeriesGiven;
import org.opentrellis.app.news.NewsOrders.SeriesGo;
import org.opentrellis.app.news.NewsViews.SeriesEntry;
import org.opentrellis.app.news.NewsViews.SeriesLook;
import org.opentrellis.app.news.NewsViews.SeriesView;
import org.opentrellis.app.newsletters.NewsletterFault;
import org.opentrellis.app.newsletters.NewsletterWords;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.news.IssueContent;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** What needs the source of a series, which may take seconds: so nothing is held meanwhile. */
@Component
public class NewsDesk {
  private final NewsOnRhythm news;
  private final NewsSource source;
  private final NewsMoments moments;
  private final Newsletters newsletters;
  private final NewsletterWords words;
  private final ReadAlone letters;

  /** While one types, a source on the web is not asked with each key. */
  private final Cache<String, NewsSource.Read> lately =
      Caffeine.newBuilder().maximumSize(50).expireAfterWrite(Duration.ofSeconds(20)).build();

  NewsDesk(
      NewsOnRhythm news,
      NewsSource source,
      NewsMoments moments,
      Newsletters newsletters,
      NewsletterWords words,
      ReadAlone letters) {
    this.news = news;
    this.source = source;
    this.moments = moments;
    this.newsletters = newsletters;
    this.words = words;
    this.letters = letters;
  }

  /**
   * How a series would be and what its next issue would hold, without keeping it.
   *
   * @throws ProblemsFound if something cannot be so
   */
  SeriesLook look(long id, SeriesGiven given) {
    NewsSeries series =
        ProblemsFound.within("/series", () -> Documents.readNewsSeries(given.series()));
    long people = newsletters.people(series.letter());
    long at = news.nextAt(id, series);
    NewsSource.Read read = series.source().isBlank() ? NewsSource.Read.NOTHING : read(series);
    IssueContent content = news.content(id, series, read.items());
    return new SeriesLook(
        words.who(series.letter()),
        words.butNot(series.letter()),
        words.sheet(series),
        NewsletterFault.of(news.found(series, people)),
        people,
        at,
        read.fault().isEmpty() ? "" : sentence(read.fault()),
        content.shown().stream().map(NewsDesk::entry).toList(),
        content.leftOut().size(),
        says(content, people, series),
        html(series, content, at));
  }

  private NewsSource.Read read(NewsSeries series) {
    return series.isFromSite()
        ? source.tryToRead(series)
        : lately.get(series.source(), address -> source.tryToRead(series));
  }

  private static String sentence(String fault) {
    return "Its news cannot be read just now: " + fault + ".";
  }

  private static SeriesEntry entry(NewsItem item) {
    return new SeriesEntry(
        item.title(),
        item.words(),
        item.address(),
        item.posted().map(posted -> posted.getEpochSecond()).orElse(null));
  }

  private List<String> says(IssueContent content, long people, NewsSeries series) {
    List<String> says = new ArrayList<>();
    if (content.isEmpty()) {
      says.add("Nothing is new so far: unless something is posted, nothing goes out.");
    } else {
      says.add(
          String.format(
              Locale.ROOT,
              "New so far: %s; %,d %s it as people are now.",
              Issues.pieces(content.shown().size()),
              people,
              people == 1 ? "person gets" : "people get"));
    }
    int left = content.leftOut().size();
    if (left > 0 && !content.isEmpty()) {
      says.add(
          "%s older and left out: the message shows %d at most."
              .formatted(left == 1 ? "One more is" : left + " more are", news.shown(series)));
    }
    return says;
  }

  private String html(NewsSeries series, IssueContent content, long at) {
    if (series.letter().message().isEmpty() || content.isEmpty()) {
      return "";
    }
    MessageId message = series.letter().message().get();
    List<NewsEntry> entries = content.shown().stream().map(NewsItem::entry).toList();
    LocalDate day = moments.local(at).toLocalDate();
    try {
      return letters
          .issue(message, entries, new ReadAlone.Reader("", "", Map.of(), day, who -> false))
          .html();
    } catch (Refused refused) {
      return "";
    }
  }

  /**
   * @throws Refusal if its source cannot be read, or as {@link NewsOnRhythm#turnOn} says
   */
  SeriesView turnOn(long id, SeriesGo go) {
    return news.turnOn(id, go, required(news.series(id)));
  }

  /** From now on it goes by itself, to however many. */
  public void turnOn(long id) {
    SeriesView so = news.view(id);
    turnOn(id, new SeriesGo(so.version(), so.people(), true));
  }

  /**
   * @throws Refusal if its source cannot be read, or as {@link NewsOnRhythm#sendEarly} says
   */
  SeriesView sendEarly(long id, SeriesGo go) {
    return news.sendEarly(id, go, required(news.series(id)));
  }

  private List<NewsItem> required(NewsSeries series) {
    if (series.source().isBlank()) {
      throw ProblemsFound.badValue("/series/source", "Say where the news comes from.");
    }
    NewsSource.Read read = source.tryToRead(series);
    if (!read.fault().isEmpty()) {
      throw new Refusal(HttpStatus.CONFLICT, "source", sentence(read.fault()), null);
    }
    return read.items();
  }
}
