package org.opentrellis.app.news;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.news.IssueRow.Outcome;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.news.IssueContent;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.newsletter.Newsletter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Makes issues of series. Each is a newsletter with its news beside it, kept in one transaction.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class Issues {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
  private static final int LONGEST_NAME = 60;

  /** So many times as many people as so far may get one that nobody looks at, and so many more. */
  private static final long GROWN = 2;

  private static final long GROWN_BY = 20;

  private final NewsMapper mapper;
  private final Newsletters newsletters;
  private final MessageLibrary messages;
  private final Journeys journeys;
  private final NewsMoments moments;
  private final AccountClock clock;

  Issues(
      NewsMapper mapper,
      Newsletters newsletters,
      MessageLibrary messages,
      Journeys journeys,
      NewsMoments moments,
      AccountClock clock) {
    this.mapper = mapper;
    this.newsletters = newsletters;
    this.messages = messages;
    this.journeys = journeys;
    this.moments = moments;
    this.clock = clock;
  }

  /** How many entries the series' message shows; 0 if no list of news stands in it. */
  int shown(NewsSeries series) {
    return series
        .letter()
        .message()
        .flatMap(messages::find)
        .map(written -> written.manuscript())
        .filter(Manuscript.Email.class::isInstance)
        .stream()
        .flatMap(email -> ((Manuscript.Email) email).allParts())
        .filter(Part.News.class::isInstance)
        .mapToInt(part -> ((Part.News) part).most())
        .max()
        .orElse(0);
  }

  /**
   * What the next issue of one that is kept would hold.
   *
   * @param there all that its source gives
   * @param series as it is to be, if it is being changed
   */
  IssueContent content(NewsRow row, NewsSeries series, List<NewsItem> there, Instant since) {
    Set<String> taken = new HashSet<>();
    for (IssueRow issue : mapper.issues(row.id())) {
      issue.newsShown().forEach(one -> taken.add(one.id()));
      issue.newsLeftOut().forEach(one -> taken.add(one.id()));
    }
    return IssueContent.of(there, taken, since, shown(series));
  }

  /**
   * An issue that goes out when it is time, or at the next minute if that is past. It stays a draft
   * if something stands in the way, or if many more people would get it than so far.
   */
  void send(NewsRow row, long at, IssueContent content) {
    Newsletter letter = row.series().letter();
    Newsletter issue =
        letter
            .called(journeys.freeName(begun(letter.name()) + ", " + DAY.format(moments.local(at))))
            .going(Optional.of(moments.going(at)));
    long journey = newsletters.keep(issue);
    long most = GROWN * row.people() + GROWN_BY;
    Optional<String> inTheWay = newsletters.planUnseen(journey, most);
    long people = newsletters.people(issue);
    String news = pieces(content.shown().size());
    String capital = news.substring(0, 1).toUpperCase(Locale.ROOT) + news.substring(1);
    record(
        row,
        at,
        inTheWay.isPresent() ? Outcome.WAITS : Outcome.SENT,
        journey,
        content,
        inTheWay
            .map(why -> "Waits as a draft with %s: %s".formatted(news, why))
            .orElseGet(
                () ->
                    String.format(
                        Locale.ROOT,
                        people == 1 ? "%s to %,d person." : "%s to %,d people.",
                        capital,
                        people)));
    if (inTheWay.isEmpty()) {
      mapper.reached(row.id(), people);
    }
  }

  /** So much of a name that a day fits behind it; no character is cut in two. */
  private static String begun(String name) {
    int end = Math.min(LONGEST_NAME, name.length());
    boolean within = Character.isHighSurrogate(name.charAt(end - 1));
    return name.substring(0, within ? end - 1 : end).strip();
  }

  static String pieces(int count) {
    return count == 1 ? "one piece of news" : count + " pieces of news";
  }

  /** What stood at the source before it was turned on is no news. */
  void begin(NewsRow row, List<NewsItem> there, Instant since) {
    boolean first = mapper.issues(row.id()).isEmpty();
    List<NewsItem> old =
        there.stream()
            .filter(item -> item.posted().map(posted -> posted.isBefore(since)).orElse(first))
            .toList();
    record(row, clock.now(), Outcome.BEGUN, null, new IssueContent(List.of(), old), "Turned on.");
  }

  /** A moment at which nothing goes out. */
  void none(NewsRow row, Outcome outcome, String says) {
    record(
        row,
        row.nextAt() == null ? clock.now() : row.nextAt(),
        outcome,
        null,
        new IssueContent(List.of(), List.of()),
        says);
  }

  private void record(
      NewsRow row,
      long at,
      Outcome outcome,
      @Nullable Long journey,
      IssueContent content,
      String says) {
    mapper.add(
        new IssueRow(
            0,
            row.id(),
            at,
            outcome,
            journey,
            Json.write(content.shown()),
            Json.write(content.leftOut()),
            says.substring(0, Math.min(2000, says.length()))));
  }
}
