package org.opentrellis.app.calendar;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.news.NewsOnRhythm;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.springframework.stereotype.Component;

/** What news on a rhythm sends if there is something new each time. */
@Component
class NewsAhead {
  private final NewsOnRhythm news;
  private final NewslettersAhead newsletters;
  private final Account account;

  NewsAhead(NewsOnRhythm news, NewslettersAhead newsletters, Account account) {
    this.news = news;
    this.newsletters = newsletters;
    this.account = account;
  }

  /**
   * A lane for each series that is on.
   *
   * @param only of whom alone it is told
   */
  List<LaneAhead> lanes(Days days, Catalogue catalogue, Optional<BitSet> only) {
    Map<Long, List<LaneAhead>> issues = new LinkedHashMap<>();
    for (NewsOnRhythm.Due due : news.upTo(days.begins() + days.count() * 24L * 3600)) {
      issues
          .computeIfAbsent(due.series(), series -> new ArrayList<>())
          .add(newsletters.lane(issue(due), days, catalogue, only));
    }
    return issues.values().stream().map(NewsAhead::together).toList();
  }

  /**
   * The lanes of issues that were made, by the newsletter that each is.
   *
   * @param lanes those that are shown; issues of others stand for themselves
   */
  Map<Long, Long> issues(Set<Long> lanes) {
    Map<Long, Long> issues = new HashMap<>();
    news.issues()
        .forEach(
            (newsletter, series) -> {
              if (lanes.contains(LaneAhead.ofNews(series))) {
                issues.put(newsletter, LaneAhead.ofNews(series));
              }
            });
    return issues;
  }

  private Newsletters.Coming issue(NewsOnRhythm.Due due) {
    return new Newsletters.Coming(
        LaneAhead.ofNews(due.series()),
        true,
        due.letter(),
        Json.write(Documents.write(due.letter())),
        NewsletterJourney.of(due.letter(), account.zone(), 0));
  }

  private static LaneAhead together(List<LaneAhead> issues) {
    LaneAhead first = issues.getFirst();
    Outlook all = new Outlook(first.ahead().days());
    issues.forEach(one -> all.add(one.ahead()));
    return new LaneAhead(
        first.id(),
        CalendarView.LaneKind.NEWS,
        first.name(),
        "news, whenever there is any",
        true,
        all,
        first.gone(),
        first.readers(),
        issues.stream().flatMap(one -> one.letters().stream()).toList());
  }
}
