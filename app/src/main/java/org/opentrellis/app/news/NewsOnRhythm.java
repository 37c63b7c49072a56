package org.opentrellis.app.news;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.news.NewsOrders.SeriesDraft;
import org.opentrellis.app.news.NewsOrders.SeriesGo;
import org.opentrellis.app.news.NewsViews.SeriesIssue;
import org.opentrellis.app.news.NewsViews.SeriesLine;
import org.opentrellis.app.news.NewsViews.SeriesView;
import org.opentrellis.app.newsletters.Meant;
import org.opentrellis.app.newsletters.NewsletterFault;
import org.opentrellis.app.newsletters.NewsletterWords;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.news.IssueContent;
import org.opentrellis.core.news.NewsChecks;
import org.opentrellis.core.news.NewsItem;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.news.Rhythm;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The account's news on a rhythm: kept, turned on and off, an issue skipped or sent early. */
@Service
@Transactional
public class NewsOnRhythm {
  private static final int LATEST = 50;

  private final NewsMapper mapper;
  private final Issues issues;
  private final NewsMoments moments;
  private final Newsletters newsletters;
  private final NewsletterWords words;
  private final AccountClock clock;

  NewsOnRhythm(
      NewsMapper mapper,
      Issues issues,
      NewsMoments moments,
      Newsletters newsletters,
      NewsletterWords words,
      AccountClock clock) {
    this.mapper = mapper;
    this.issues = issues;
    this.moments = moments;
    this.newsletters = newsletters;
    this.words = words;
    this.clock = clock;
  }

  /**
   * An issue that is still to be made.
   *
   * @param at in epoch seconds
   * @param letter it as a newsletter
   */
  public record Due(long series, long at, Newsletter letter) {}

  /** The issues up to a moment of what is on, but for those that are skipped. */
  @Transactional(readOnly = true)
  public List<Due> upTo(long end) {
    List<Due> due = new ArrayList<>();
    for (NewsRow row : mapper.all()) {
      if (row.nextAt() == null) {
        continue;
      }
      NewsSeries series = row.series();
      for (long at = row.nextAt(); at <= end; at = moments.after(series, at)) {
        if (at != row.nextAt() || !row.skipsNext()) {
          due.add(new Due(row.id(), at, series.letter().going(Optional.of(moments.going(at)))));
        }
      }
    }
    return due;
  }

  /** The series of each issue, by the newsletter that it is. */
  @Transactional(readOnly = true)
  public Map<Long, Long> issues() {
    return mapper.newsletters().stream()
        .collect(Collectors.toMap(NewsMapper.OfSeries::journeyId, NewsMapper.OfSeries::seriesId));
  }

  /** In the order in which they were made. */
  @Transactional(readOnly = true)
  List<SeriesLine> list() {
    return mapper.all().stream()
        .map(
            row -> {
              NewsSeries series = row.series();
              return new SeriesLine(
                  row.id(),
                  series.letter().name(),
                  series.rhythm().words(),
                  row.nextAt(),
                  row.skipsNext(),
                  mapper.saidLast(row.id()).orElse(""));
            })
        .toList();
  }

  /**
   * @throws NotFound if there is none of that number
   */
  @Transactional(readOnly = true)
  SeriesView view(long id) {
    NewsRow row = find(id);
    NewsSeries series = row.series();
    long people = newsletters.people(series.letter());
    return new SeriesView(
        id,
        row.version(),
        row.isOn(),
        Documents.write(series),
        words.who(series.letter()),
        words.butNot(series.letter()),
        words.sheet(series),
        NewsletterFault.of(found(series, people)),
        people,
        row.nextAt(),
        row.skipsNext(),
        mapper.issues(id).stream().limit(LATEST).map(NewsOnRhythm::issue).toList());
  }

  private static SeriesIssue issue(IssueRow row) {
    return new SeriesIssue(
        row.at(),
        row.outcome(),
        row.journeyId(),
        row.says(),
        row.newsShown().stream().map(NewsItem::title).toList());
  }

  /**
   * Begins one: every Thursday morning, until somebody says otherwise.
   *
   * @throws ProblemsFound if it cannot be called so
   * @throws NameTaken if another is
   */
  SeriesView add(@Nullable String wanted) {
    String name =
        wanted == null
            ? FreeName.of(
                "News",
                mapper.all().stream()
                    .map(row -> row.series().letter().name())
                    .collect(Collectors.toSet()))
            : wanted;
    Rhythm weekly = new Rhythm.Weekly(DayOfWeek.THURSDAY, LocalTime.of(9, 0));
    return view(keep(ProblemsFound.within("/name", () -> NewsSeries.begun(name, weekly))));
  }

  /**
   * Keeps one; it is off.
   *
   * @return its number
   * @throws NameTaken if another is called so
   */
  public long keep(NewsSeries series) {
    requireFree(series, 0, "/name");
    NewKey key = new NewKey();
    mapper.insert(Json.write(Documents.write(series)), clock.now(), key);
    return key.id();
  }

  private void requireFree(NewsSeries series, long but, String place) {
    String name = series.letter().name();
    if (mapper.all().stream()
        .anyMatch(row -> row.id() != but && row.series().letter().name().equalsIgnoreCase(name))) {
      throw NameTaken.of("news", name, place);
    }
  }

  /**
   * Keeps it as it was changed.
   *
   * @throws SaveLost if somebody else has changed it since
   * @throws ProblemsFound if something cannot be so
   * @throws Refusal if it is on
   */
  SeriesView save(long id, SeriesDraft draft) {
    NewsSeries series =
        ProblemsFound.within("/series", () -> Documents.readNewsSeries(draft.series()));
    if (find(id).isOn()) {
      throw refused("is-on", "It is on, so it stays as it is. Turn it off to change it.");
    }
    requireFree(series, id, "/series/letter/name");
    if (mapper.save(id, draft.version(), Json.write(Documents.write(series)), clock.now()) == 0) {
      throw lost(id, draft);
    }
    return view(id);
  }

  private SaveLost lost(long id, Object yours) {
    return new SaveLost(
        "Somebody else has changed this news since you opened it.", view(id), yours);
  }

  /**
   * From now on it goes by itself. What its source holds from before the last moment of its rhythm
   * is no news.
   *
   * @param there all that its source gives
   * @throws ProblemsFound with what stands in the way
   * @throws Refusal if more people get it than was said, or than usual without a word about it
   */
  SeriesView turnOn(long id, SeriesGo go, List<NewsItem> there) {
    NewsRow row = find(id);
    NewsSeries series = row.series();
    long people = requireMeant(series, go);
    long next = moments.next(series);
    Instant since = since(series, next);
    if (row.isOn()
        || mapper.turn(
                id,
                go.version(),
                next,
                next - NewsAppointments.BEFORE,
                since.getEpochSecond(),
                people)
            == 0) {
      throw lost(id, go);
    }
    issues.begin(find(id), there, since);
    return view(id);
  }

  /** What was posted before it is no news of the first issue. */
  Instant since(NewsSeries series, long next) {
    return Instant.ofEpochSecond(moments.before(series, next));
  }

  private long requireMeant(NewsSeries series, SeriesGo go) {
    long people = newsletters.people(series.letter());
    Meant.require(found(series, people), people, go.people(), go.evenSoMany());
    return people;
  }

  /** What has gone or is planned is not touched. */
  SeriesView turnOff(long id) {
    NewsRow row = find(id);
    mapper.turn(id, row.version(), null, null, row.since(), row.people());
    return view(id);
  }

  /**
   * The next issue is left out, or is not after all; its news waits for the one after it.
   *
   * @throws Refusal if it is off
   */
  SeriesView skip(long id, boolean skips) {
    if (!find(id).isOn()) {
      throw refused("is-off", "It is off: no issue comes that could be skipped.");
    }
    mapper.skip(id, skips);
    return view(id);
  }

  /**
   * What is new goes out at the next minute; the next issue comes at its time with what is new by
   * then.
   *
   * @param there all that its source gives
   * @throws Refusal if it is off, if nothing is new, or as in {@link #turnOn}
   */
  SeriesView sendEarly(long id, SeriesGo go, List<NewsItem> there) {
    NewsRow row = mapper.hold(id).orElseThrow(() -> NotFound.of("news", id));
    if (!row.isOn()) {
      throw refused("is-off", "It is off: turn it on, and then send an issue early.");
    }
    if (row.version() != go.version()) {
      throw lost(id, go);
    }
    long people = requireMeant(row.series(), go);
    IssueContent content = issues.content(row, row.series(), there, row.from());
    if (content.isEmpty()) {
      throw refused(
          "nothing-new", "Nothing is new since the last issue: there is nothing to send.");
    }
    mapper.reached(id, people);
    issues.send(find(id), clock.now(), content);
    return view(id);
  }

  /** What the next issue of one would hold, as it is being changed. */
  @Transactional(readOnly = true)
  IssueContent content(long id, NewsSeries series, List<NewsItem> there) {
    NewsRow row = find(id);
    return issues.content(
        row, series, there, row.isOn() ? row.from() : since(series, nextAt(id, series)));
  }

  /** When the next issue of one goes, or would if it were turned on, in epoch seconds. */
  @Transactional(readOnly = true)
  long nextAt(long id, NewsSeries series) {
    NewsRow row = find(id);
    return row.nextAt() == null ? moments.next(series) : row.nextAt();
  }

  /** How many entries the message of one shows. */
  @Transactional(readOnly = true)
  int shown(NewsSeries series) {
    return issues.shown(series);
  }

  /** What is wrong with one, for so many people. */
  @Transactional(readOnly = true)
  List<NewsletterFinding> found(NewsSeries series, long people) {
    return NewsChecks.of(series, issues.shown(series), newsletters.surroundings(people));
  }

  /**
   * Puts it away.
   *
   * @throws Refusal if it is on
   */
  void putAway(long id) {
    if (find(id).isOn()) {
      throw refused("is-on", "It is on: turn it off first.");
    }
    mapper.putAway(id);
  }

  /** One as it is kept. */
  @Transactional(readOnly = true)
  NewsSeries series(long id) {
    return find(id).series();
  }

  private NewsRow find(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("news", id));
  }

  private static Refusal refused(String code, String sentence) {
    return new Refusal(HttpStatus.CONFLICT, code, sentence, null);
  }
}
