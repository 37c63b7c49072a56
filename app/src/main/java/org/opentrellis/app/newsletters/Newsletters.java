package org.opentrellis.app.newsletters;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.JourneyShelf;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.InsideJourneys;
import org.opentrellis.app.live.MailCalledOff;
import org.opentrellis.app.live.MailFigures;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterDraft;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterMove;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterPlan;
import org.opentrellis.app.newsletters.NewsletterOrders.NewsletterRun;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterLine;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterLook;
import org.opentrellis.app.newsletters.NewsletterViews.NewsletterView;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterChecks;
import org.opentrellis.core.newsletter.NewsletterFinding;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.opentrellis.core.newsletter.SubjectTest;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Severity;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The account's newsletters: kept, planned, moved and called back. */
@Service
@Transactional
public class Newsletters {
  private static final int HOUR = 3600;

  /** So many are made at once, so far apart, at most. */
  private static final int MOST_IN_RUN = 26;

  private static final int MOST_APART = 52;

  private final NewsletterMapper mapper;
  private final Journeys journeys;
  private final JourneyShelf shelf;
  private final NewsletterSurroundings surroundings;
  private final NewsletterMoments moments;
  private final NewsletterSays says;
  private final NewsletterResults results;
  private final InsideJourneys inside;
  private final MailFigures mail;
  private final MailCalledOff calledOff;
  private final NewsletterWords words;
  private final Account account;
  private final AccountClock clock;

  Newsletters(
      NewsletterMapper mapper,
      Journeys journeys,
      JourneyShelf shelf,
      NewsletterSurroundings surroundings,
      NewsletterMoments moments,
      NewsletterSays says,
      NewsletterResults results,
      InsideJourneys inside,
      MailFigures mail,
      MailCalledOff calledOff,
      NewsletterWords words,
      Account account,
      AccountClock clock) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.shelf = shelf;
    this.surroundings = surroundings;
    this.moments = moments;
    this.says = says;
    this.results = results;
    this.inside = inside;
    this.mail = mail;
    this.calledOff = calledOff;
    this.words = words;
    this.account = account;
    this.clock = clock;
  }

  /**
   * A newsletter that is to go out.
   *
   * @param planned whether it is planned, or only says when
   * @param document by which its estimate is known
   * @param plan the journey that it runs as
   */
  public record Coming(
      long id, boolean planned, Newsletter newsletter, String document, Journey plan) {}

  /** Those that say when, and have not begun. */
  @Transactional(readOnly = true)
  public List<Coming> coming() {
    long now = clock.now();
    return mapper.all().stream()
        .filter(row -> row.state() != NewsletterRow.State.CALLED_BACK && !row.hasBegun(now))
        .map(
            row -> {
              Newsletter newsletter = row.newsletter();
              return new Coming(
                  row.journeyId(),
                  row.isPlanned(),
                  newsletter,
                  row.document(),
                  journey(newsletter, 0));
            })
        .filter(
            one ->
                one.newsletter().going().isPresent()
                    && one.newsletter().who().isPresent()
                    && moments.of(one.newsletter().going().get()).first() > now)
        .toList();
  }

  /**
   * A newsletter at its moment.
   *
   * @param at when it comes to the first, in epoch seconds
   * @param review what it does, in sentences
   */
  public record Dated(long id, String name, boolean planned, long at, List<String> review) {}

  /** Those that go from a moment on, those that have gone among them. */
  @Transactional(readOnly = true)
  public List<Dated> around(long from) {
    return mapper.all().stream()
        .flatMap(row -> dated(row).stream())
        .filter(one -> one.at() >= from)
        .toList();
  }

  private Optional<Dated> dated(NewsletterRow row) {
    Newsletter newsletter = row.newsletter();
    return newsletter
        .going()
        .map(
            going ->
                new Dated(
                    row.journeyId(),
                    newsletter.name(),
                    row.state() != NewsletterRow.State.DRAFT,
                    row.firstAt() != null ? row.firstAt() : moments.of(going).first(),
                    words.sheet(newsletter)));
  }

  /**
   * What is still to go first, in the order of time, and without a time after it; then what has
   * gone, the latest first.
   */
  @Transactional(readOnly = true)
  List<NewsletterLine> list() {
    long now = clock.now();
    return mapper.all().stream()
        .map(this::line)
        .sorted(
            Comparator.comparingLong((NewsletterLine line) -> place(line, now))
                .thenComparing(NewsletterLine::id))
        .toList();
  }

  private static long place(NewsletterLine line, long now) {
    return line.firstAt() == null
        ? Long.MAX_VALUE / 2
        : line.firstAt() > now ? line.firstAt() : Long.MAX_VALUE - line.firstAt();
  }

  private NewsletterLine line(NewsletterRow row) {
    Newsletter newsletter = row.newsletter();
    return new NewsletterLine(
        row.journeyId(),
        newsletter.name(),
        phase(row),
        newsletter.message().map(words.called()).orElse(null),
        row.firstAt() != null
            ? row.firstAt()
            : newsletter.going().map(going -> moments.of(going).first()).orElse(null),
        newsletter.going().filter(Going::theirTime).isPresent(),
        row.people() != null && row.hasBegun(clock.now())
            ? row.people()
            : surroundings.peopleLately(newsletter),
        mail.of(row.journeyId(), clock.now()).values().stream()
            .mapToLong(MailFigures.OfStep::sent)
            .max()
            .orElse(0));
  }

  /**
   * @throws NotFound if there is none of that number
   */
  @Transactional(readOnly = true)
  NewsletterView view(long id) {
    return view(find(id));
  }

  private NewsletterView view(NewsletterRow row) {
    return view(
        row,
        isOpen(phase(row)) || row.people() == null
            ? surroundings.people(row.newsletter())
            : row.people());
  }

  /** Whether it is still to go out. */
  private static boolean isOpen(NewsletterPhase phase) {
    return phase == NewsletterPhase.DRAFT || phase == NewsletterPhase.PLANNED;
  }

  private NewsletterView view(NewsletterRow row, long people) {
    Newsletter newsletter = row.newsletter();
    NewsletterPhase phase = phase(row);
    boolean open = isOpen(phase);
    return new NewsletterView(
        row.journeyId(),
        row.version(),
        phase,
        Documents.write(newsletter),
        words.who(newsletter),
        words.butNot(newsletter),
        words.sheet(newsletter),
        open ? NewsletterFault.of(found(newsletter, people)) : List.of(),
        people,
        row.firstAt(),
        row.lastAt(),
        open ? says.of(newsletter, people) : results.says(row, phase),
        results.steps(row));
  }

  /**
   * How a newsletter would be, without keeping it.
   *
   * @throws ProblemsFound if something cannot be so
   */
  @Transactional(readOnly = true)
  NewsletterLook look(JsonNode given) {
    Newsletter newsletter = read(given);
    long people = surroundings.people(newsletter);
    return new NewsletterLook(
        words.who(newsletter),
        words.butNot(newsletter),
        words.sheet(newsletter),
        NewsletterFault.of(found(newsletter, people)),
        people,
        says.of(newsletter, people));
  }

  /**
   * Begins one.
   *
   * @throws ProblemsFound if it cannot be called so
   * @throws NameTaken if something else is called so
   */
  NewsletterView add(@Nullable String wanted) {
    String name = wanted == null ? journeys.freeName("Newsletter") : wanted;
    return view(keep(ProblemsFound.within("/name", () -> Newsletter.begun(name))));
  }

  /**
   * Keeps one as a draft.
   *
   * @return its number
   * @throws NameTaken if something else is called so
   */
  public long keep(Newsletter newsletter) {
    return keep(newsletter, journeys.usual());
  }

  /** The same with what is assumed of its readers. */
  public long keep(Newsletter newsletter, Behaviour behaviour) {
    try {
      long id = journeys.add(JourneyKind.NEWSLETTER, journey(newsletter, 0), behaviour);
      mapper.insert(id, Json.write(Documents.write(newsletter)), clock.now());
      return id;
    } catch (DuplicateKeyException taken) {
      throw NameTaken.of("journey or newsletter", newsletter.name(), "/name");
    }
  }

  /**
   * Keeps it as it was changed.
   *
   * @throws SaveLost if somebody else has changed it since
   * @throws ProblemsFound if something cannot be so
   * @throws Refusal if it is planned, or gone
   */
  NewsletterView save(long id, NewsletterDraft draft) {
    Newsletter newsletter = read(draft.newsletter());
    NewsletterRow row = find(id);
    if (row.state() != NewsletterRow.State.DRAFT) {
      throw refused(
          "not-a-draft",
          row.hasBegun(clock.now())
              ? "It has begun to go out, so it stays as it is. Copy it to send another."
              : "It is planned, so it stays as it is. Take it out of the plan to change it.");
    }
    write(id, draft.version(), newsletter, draft);
    return view(id);
  }

  private void write(long id, int version, Newsletter newsletter, Object yours) {
    // Whoever holds what is kept of the journey comes first, here as everywhere.
    journeys.become(id, journey(newsletter, 0));
    if (mapper.save(id, version, Json.write(Documents.write(newsletter)), clock.now()) == 0) {
      throw lost(id, yours);
    }
  }

  private SaveLost lost(long id, Object yours) {
    return new SaveLost(
        "Somebody else has changed this newsletter since you opened it.", view(id), yours);
  }

  /**
   * It goes out when it says, or at the next minute.
   *
   * @throws ProblemsFound with what stands in the way
   * @throws Refusal if more people get it than was said, or than usual without a word about it
   */
  NewsletterView plan(long id, NewsletterPlan order) {
    NewsletterRow row = find(id);
    if (row.state() != NewsletterRow.State.DRAFT) {
      throw refused("not-a-draft", "It is planned already, or has gone.");
    }
    Newsletter newsletter = row.newsletter();
    if (order.now()) {
      LocalDateTime next = moments.nextMinute();
      newsletter =
          newsletter.going(Optional.of(new Going(next.toLocalDate(), next.toLocalTime(), false)));
    }
    long people = surroundings.people(newsletter);
    Meant.require(found(newsletter, people), people, order.people(), order.evenSoMany());
    write(id, order.version(), newsletter, order);
    shelf.open(id);
    schedule(id, newsletter, people);
    return view(id);
  }

  /** It goes out when it says, to however many. */
  public void plan(long id) {
    NewsletterRow row = find(id);
    plan(id, new NewsletterPlan(row.version(), false, surroundings.people(row.newsletter()), true));
  }

  /**
   * It goes out when it says, without anybody who looks at it.
   *
   * @param most people who may get it so
   * @return why it stays a draft; nothing if it goes
   */
  public Optional<String> planUnseen(long id, long most) {
    Newsletter newsletter = find(id).newsletter();
    long people = surroundings.people(newsletter);
    Optional<String> wrong =
        found(newsletter, people).stream()
            .filter(one -> one.severity() == Severity.ERROR)
            .map(NewsletterFinding::sentence)
            .findFirst();
    if (wrong.isEmpty() && people > most) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%,d people would get it, and more than %,d are looked at first.",
              people,
              most));
    }
    if (wrong.isEmpty()) {
      shelf.open(id);
      schedule(id, newsletter, people);
    }
    return wrong;
  }

  /** How many get one, as people are now. */
  @Transactional(readOnly = true)
  public long people(Newsletter newsletter) {
    return surroundings.people(newsletter);
  }

  /**
   * What one stands among that is like others.
   *
   * @param people how many get it
   */
  public NewsletterChecks.Surroundings surroundings(long people) {
    return surroundings.around(people);
  }

  private void schedule(long id, Newsletter newsletter, long people) {
    NewsletterMoments.Span span = moments.of(newsletter.going().orElseThrow());
    Long decideAt =
        newsletter
            .subjects()
            .map(SubjectTest::hours)
            .map(hours -> span.first() + (long) hours * HOUR)
            .orElse(null);
    long closeAt = span.last() + NewsletterAppointments.CLOSES_AFTER;
    mapper.plan(
        id,
        NewsletterRow.State.PLANNED,
        people,
        span.first(),
        decideAt,
        span.last(),
        decideAt == null ? closeAt : decideAt,
        clock.now());
  }

  /**
   * It goes out at another time; one that is no more than a draft is only to be planned for it.
   *
   * @throws Refusal if it has begun to go out
   * @throws ProblemsFound if that is past
   */
  NewsletterView move(long id, NewsletterMove move) {
    NewsletterRow row = find(id);
    Newsletter before = row.newsletter();
    if (row.hasBegun(clock.now()) || row.state() == NewsletterRow.State.CALLED_BACK) {
      throw refused("begun", "It has begun to go out, so it cannot be moved any more.");
    }
    if (before.going().isEmpty() && move.at() == null) {
      throw ProblemsFound.badValue("/at", "Say at what time it goes out.");
    }
    Going going =
        before
            .going()
            .map(
                so ->
                    new Going(move.date(), move.at() == null ? so.at() : move.at(), so.theirTime()))
            .orElseGet(() -> new Going(move.date(), move.at(), false));
    Newsletter moved = before.going(Optional.of(going));
    if (moved.equals(before)) {
      return view(row);
    }
    long people = surroundings.people(moved);
    if (row.isPlanned()) {
      Meant.requireNoErrors(found(moved, people));
    }
    write(id, move.version(), moved, move);
    if (row.isPlanned()) {
      shelf.putIntoEffect(id);
      schedule(id, moved, people);
    }
    return view(find(id), people);
  }

  /**
   * What has not gone yet does not go: what is planned is a draft again; of what is going out
   * whoever has not got it does not get it, and nothing follows it.
   *
   * @throws Refusal if nothing is left to call back
   */
  NewsletterView callBack(long id) {
    NewsletterRow row = find(id);
    NewsletterPhase phase = phase(row);
    switch (phase) {
      case PLANNED -> {
        shelf.stop(id);
        shelf.plan(id);
        mapper.plan(id, NewsletterRow.State.DRAFT, null, null, null, null, null, clock.now());
      }
      case GOING_OUT -> {
        calledOff.of(id, "The newsletter was called back.");
        shelf.stop(id);
        mapper.plan(
            id,
            NewsletterRow.State.CALLED_BACK,
            row.people(),
            row.firstAt(),
            row.decideAt(),
            row.lastAt(),
            null,
            clock.now());
      }
      case DRAFT, GONE, CALLED_BACK ->
          throw refused(
              "nothing-left",
              phase == NewsletterPhase.GONE
                  ? "It has gone to all: nothing is left to call back."
                  : "It is not going out: there is nothing to call back.");
    }
    return view(id);
  }

  /** A copy as a draft, without a time. */
  @AgainIfTaken
  NewsletterView copy(long id) {
    Newsletter of = find(id).newsletter();
    return view(keep(of.called(journeys.freeName(of.name())).going(Optional.empty())));
  }

  /**
   * More like one as drafts, each at its own time; the days of a month stay within it.
   *
   * @throws ProblemsFound if it has no time, or there are too many
   */
  @AgainIfTaken
  List<NewsletterLine> run(long id, NewsletterRun order) {
    Newsletter first = find(id).newsletter();
    if (order.count() < 1 || order.count() > MOST_IN_RUN) {
      throw ProblemsFound.badValue(
          "/count", "1 to %d are made at once, not %d.".formatted(MOST_IN_RUN, order.count()));
    }
    if (order.every() < 1 || order.every() > MOST_APART) {
      throw ProblemsFound.badValue(
          "/every",
          "They are 1 to %d %s apart, not %d."
              .formatted(MOST_APART, order.unit().name().toLowerCase(Locale.ROOT), order.every()));
    }
    Going going =
        first
            .going()
            .orElseThrow(() -> ProblemsFound.badValue("", "Say first when this one goes out."));
    List<NewsletterLine> made = new ArrayList<>();
    for (int n = 1; n <= order.count(); n++) {
      int later = n * order.every();
      Going then =
          going.on(
              switch (order.unit()) {
                case DAYS -> going.date().plusDays(later);
                case WEEKS -> going.date().plusWeeks(later);
                case MONTHS -> going.date().plusMonths(later);
              });
      String name = journeys.freeName(first.name());
      made.add(line(find(keep(first.called(name).going(Optional.of(then))))));
    }
    return made;
  }

  /**
   * Puts it away.
   *
   * @throws Refusal if it is planned, or going out
   */
  void putAway(long id) {
    NewsletterPhase phase = phase(find(id));
    if (phase == NewsletterPhase.PLANNED || phase == NewsletterPhase.GOING_OUT) {
      throw refused("still-on", "It is planned or going out: call it back first.");
    }
    shelf.putAway(id);
  }

  NewsletterPhase phase(NewsletterRow row) {
    return switch (row.state()) {
      case DRAFT -> NewsletterPhase.DRAFT;
      case CALLED_BACK -> NewsletterPhase.CALLED_BACK;
      case PLANNED -> {
        if (!row.hasBegun(clock.now())) {
          yield NewsletterPhase.PLANNED;
        }
        boolean goes =
            row.dueAt() != null
                || inside.isSomebody(row.journeyId())
                || mail.waiting(row.journeyId()) > 0;
        yield goes ? NewsletterPhase.GOING_OUT : NewsletterPhase.GONE;
      }
    };
  }

  private Journey journey(Newsletter newsletter, int better) {
    return NewsletterJourney.of(newsletter, account.zone(), better);
  }

  private static Newsletter read(JsonNode given) {
    return ProblemsFound.within("/newsletter", () -> Documents.readNewsletter(given));
  }

  private List<NewsletterFinding> found(Newsletter newsletter, long people) {
    return NewsletterChecks.of(newsletter, surroundings.around(people));
  }

  private NewsletterRow find(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("newsletter", id));
  }

  private static Refusal refused(String code, String sentence) {
    return new Refusal(HttpStatus.CONFLICT, code, sentence, null);
  }
}
