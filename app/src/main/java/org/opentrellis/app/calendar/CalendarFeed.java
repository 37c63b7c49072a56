package org.opentrellis.app.calendar;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.letters.Token;
import org.opentrellis.app.news.NewsOnRhythm;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.export.DaysCalendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The calendar as a file, and at an address for calendar programs, which is known by its token. */
@Service
class CalendarFeed {
  private static final int DAYS_BEFORE = 14;
  private static final int DAYS = 90;

  private final FeedMapper mapper;
  private final DaysAhead ahead;
  private final Newsletters newsletters;
  private final NewsOnRhythm news;
  private final PublicAddress address;
  private final AccountClock clock;

  CalendarFeed(
      FeedMapper mapper,
      DaysAhead ahead,
      Newsletters newsletters,
      NewsOnRhythm news,
      PublicAddress address,
      AccountClock clock) {
    this.mapper = mapper;
    this.ahead = ahead;
    this.newsletters = newsletters;
    this.news = news;
    this.address = address;
    this.clock = clock;
  }

  /**
   * An address at which calendar programs read the calendar.
   *
   * @param address said once; null where it is only told whether there is one
   */
  record FeedView(boolean on, @org.jspecify.annotations.Nullable String address) {}

  @Transactional(readOnly = true)
  FeedView view() {
    return new FeedView(mapper.tokenHash().isPresent(), null);
  }

  /** Makes a new address; an earlier one leads nowhere from then on. */
  @Transactional
  FeedView make() {
    Token token = Token.random();
    mapper.keep(token.hash());
    return new FeedView(true, address.base() + "/feed/" + token.value() + ".ics");
  }

  @Transactional
  void stop() {
    mapper.delete();
  }

  /** Whether a token is the one by which the calendar may be read. */
  @Transactional(readOnly = true)
  boolean opens(String token) {
    byte[] given = new Token(token).hash().getBytes(StandardCharsets.UTF_8);
    return mapper
        .tokenHash()
        .map(hash -> MessageDigest.isEqual(hash.getBytes(StandardCharsets.UTF_8), given))
        .orElse(false);
  }

  /** The days around today: newsletters at their moments, and what journeys send, day by day. */
  String file() {
    Instant now = clock.instant();
    LocalDate first = ahead.today().minusDays(DAYS_BEFORE);
    DaysAhead.Ahead of = ahead.of(new DaysAhead.Wanted(first, DAYS, Optional.empty(), List.of()));
    List<DaysCalendar.Entry> entries = new ArrayList<>();
    newsletters
        .around(of.days().begins())
        .forEach(
            one ->
                entries.add(
                    new DaysCalendar.Moment(
                        "newsletter-" + one.id(),
                        Instant.ofEpochSecond(one.at()),
                        one.name() + (one.planned() ? "" : " (draft)"),
                        String.join("\n", one.review()))));
    news.upTo(of.days().begins() + DAYS * 24L * 3600)
        .forEach(
            due ->
                entries.add(
                    new DaysCalendar.Moment(
                        "news-" + due.series() + "-" + due.at(),
                        Instant.ofEpochSecond(due.at()),
                        due.letter().name() + " (if there is news)",
                        "")));
    for (int day = 0; day < DAYS; day++) {
      day(of, day).ifPresent(entries::add);
    }
    return DaysCalendar.of(entries, now);
  }

  private static Optional<DaysCalendar.Entry> day(DaysAhead.Ahead of, int day) {
    LocalDate date = of.days().first().plusDays(day);
    List<String> lines = new ArrayList<>();
    double sum = 0;
    for (LaneAhead lane : of.lanes()) {
      double emails = lane.ahead().on(day).mean();
      if (lane.kind() == CalendarView.LaneKind.JOURNEY && emails >= 0.5) {
        lines.add(String.format(Locale.ROOT, "%s: about %,.0f", lane.name(), emails));
        sum += emails;
      }
    }
    return lines.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new DaysCalendar.Day(
                "journeys-" + date,
                date,
                String.format(Locale.ROOT, "About %,.0f emails of journeys", sum),
                String.join("\n", lines)));
  }
}
