package org.opentrellis.app.calendar;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.app.people.Mailable;
import org.opentrellis.core.ahead.Crowding;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.OfThoseInside;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.springframework.stereotype.Component;

/** Puts together what goes out on some days, and who gets too much. */
@Component
class DaysAhead {
  private static final long HOUR = 3600;

  private final JourneysAhead running;
  private final NewslettersAhead letters;
  private final NewsAhead news;
  private final DraftsAhead drafts;
  private final Insiders insiders;
  private final Newsletters newsletters;
  private final Mailable people;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Account account;
  private final AccountClock clock;

  DaysAhead(
      JourneysAhead running,
      NewslettersAhead letters,
      NewsAhead news,
      DraftsAhead drafts,
      Insiders insiders,
      Newsletters newsletters,
      Mailable people,
      Journeys journeys,
      Catalogues catalogues,
      Account account,
      AccountClock clock) {
    this.running = running;
    this.letters = letters;
    this.news = news;
    this.drafts = drafts;
    this.insiders = insiders;
    this.newsletters = newsletters;
    this.people = people;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.account = account;
    this.clock = clock;
  }

  /**
   * What is asked for.
   *
   * @param filter of whom alone it is told; those who are still to come are left out then
   * @param drafts that are shown beside what runs
   */
  record Wanted(LocalDate from, int count, Optional<Condition> filter, List<AsOpened> drafts) {}

  /**
   * All of it.
   *
   * @param issues the lanes of issues of news, by the newsletter that each is
   */
  record Ahead(
      Days days,
      LocalDate today,
      List<LaneAhead> lanes,
      Map<Long, Long> issues,
      Crowding crowding,
      long people) {}

  /** By the account's clock. */
  LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), account.zone());
  }

  Ahead of(Wanted wanted) {
    long now = clock.now();
    ZoneId zone = account.zone();
    Days days = new Days(wanted.from(), wanted.count(), zone);
    LocalDate today = LocalDate.ofInstant(Instant.ofEpochSecond(now), zone);
    Optional<BitSet> only = wanted.filter().map(people::meant);
    JourneysAhead.Running runs = running.of(days, wanted.filter());
    Catalogue catalogue = catalogues.current();
    List<Newsletters.Coming> coming = newsletters.coming();
    Map<Long, LaneAhead> lanes = new LinkedHashMap<>();
    coming.forEach(one -> lanes.put(one.id(), letters.lane(one, days, catalogue, only)));
    news.lanes(days, catalogue, only).forEach(one -> lanes.put(one.id(), one));
    Map<Long, Long> issues = news.issues(lanes.keySet());
    Set<Long> rules = rules();
    for (int n = 0; n < runs.journeys().size(); n++) {
      Insiders.Running one = runs.journeys().get(n);
      Outlook outlook = runs.outlooks().get(n);
      if (rules.contains(one.journey())) {
        continue;
      }
      LaneAhead there = lanes.get(issues.getOrDefault(one.journey(), one.journey()));
      if (there != null) {
        there.ahead().add(outlook);
      } else {
        lanes.put(one.journey(), running.lane(one, outlook));
      }
    }
    if (only.isEmpty()) {
      gone(lanes, issues, days, now);
      wanted.drafts().stream()
          .filter(one -> !lanes.containsKey(one.journey()))
          .forEach(one -> lanes.put(one.journey(), drafts.lane(one, days)));
    }
    List<LaneAhead> all = List.copyOf(lanes.values());
    return new Ahead(
        days,
        today,
        all,
        issues,
        crowding(runs, runs.ahead(), all, issues, days),
        runs.inside().inside());
  }

  /**
   * Who would get too much.
   *
   * @param people what those who are inside would get instead
   */
  Crowding crowding(JourneysAhead.Running runs, List<OfThoseInside.Ahead> people, Ahead shown) {
    return crowding(runs, people, shown.lanes(), shown.issues(), shown.days());
  }

  /** Which send nothing. */
  private Set<Long> rules() {
    return journeys.namesOf(JourneyKind.RULE).stream()
        .map(Journeys.Named::id)
        .collect(Collectors.toSet());
  }

  /**
   * What has gone, also of what is open no more.
   *
   * @param issues the lanes of issues of news, by the newsletter that each is
   */
  private void gone(Map<Long, LaneAhead> lanes, Map<Long, Long> issues, Days days, long now) {
    long end = Math.min(now, days.begins() + days.count() * 24L * HOUR);
    if (end <= days.begins()) {
      return;
    }
    List<Insiders.Gone> gone = insiders.gone(days.begins(), end + 1);
    Map<Long, String> names =
        insiders.names(
            gone.stream()
                .map(Insiders.Gone::journey)
                .distinct()
                .filter(one -> !lanes.containsKey(one) && !issues.containsKey(one))
                .toList());
    names.forEach(
        (id, name) ->
            lanes.put(
                id,
                isNewsletter(id)
                    ? LaneAhead.of(
                        id,
                        CalendarView.LaneKind.NEWSLETTER,
                        name,
                        "newsletter, gone",
                        true,
                        new Outlook(days))
                    : LaneAhead.of(
                        id,
                        CalendarView.LaneKind.JOURNEY,
                        name,
                        "not open any more",
                        true,
                        new Outlook(days))));
    for (Insiders.Gone one : gone) {
      int hour = days.hourOf(one.hour() * HOUR);
      LaneAhead lane = lanes.get(issues.getOrDefault(one.journey(), one.journey()));
      if (hour >= 0 && lane != null) {
        lane.gone()[hour] += one.emails();
      }
    }
  }

  private boolean isNewsletter(long id) {
    return journeys.names().stream().noneMatch(one -> one.id() == id);
  }

  private Crowding crowding(
      JourneysAhead.Running runs,
      List<OfThoseInside.Ahead> people,
      List<LaneAhead> lanes,
      Map<Long, Long> issues,
      Days days) {
    Crowding crowding = new Crowding(days, runs.inside().all(), account.limits().emailsPerWeek());
    Map<Long, Integer> positions = new HashMap<>();
    for (int n = 0; n < lanes.size(); n++) {
      positions.put(lanes.get(n).id(), n);
      int lane = n;
      lanes
          .get(n)
          .letterDays()
          .forEach(day -> crowding.newsletter(lane, day, lanes.get(lane).readers()));
    }
    for (OfThoseInside.Ahead one : people) {
      List<List<Crowding.Got>> draws = new ArrayList<>();
      for (List<Crowding.Got> draw : one.draws()) {
        draws.add(
            draw.stream()
                .map(
                    got ->
                        new Crowding.Got(
                            position(positions, issues, runs.journeys().get(got.lane()).journey()),
                            got.day()))
                .toList());
      }
      crowding.goesOn(one.number(), one.weight(), draws);
    }
    return crowding;
  }

  private static int position(Map<Long, Integer> positions, Map<Long, Long> issues, long journey) {
    return positions.get(issues.getOrDefault(journey, journey));
  }
}
