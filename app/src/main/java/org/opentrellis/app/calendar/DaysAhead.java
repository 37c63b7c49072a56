package org.opentrellis.app.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.app.newsletters.NewsletterAudience;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.app.people.Mailable;
import org.opentrellis.core.ahead.Crowding;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.OfNewcomers;
import org.opentrellis.core.ahead.OfThoseInside;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.GoingOn;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.springframework.stereotype.Component;

/**
 * Works out what goes out on some days: of those who are inside as they stand, of those who are to
 * come as lately, and of newsletters. What a moved newsletter does not change is kept for a while.
 */
@Component
class DaysAhead {
  /** So many of those inside are looked at; more are stood for. */
  private static final int PEOPLE_INSIDE = 1_500;

  private static final int MOST_DRAWS = 20;
  private static final int TURNS = 12_000;
  private static final int NEWCOMERS = 2_000;
  private static final int READERS = 400;
  private static final int READERS_DAYS = 22;
  private static final long HOUR = 3600;

  private final Insiders insiders;
  private final Newsletters newsletters;
  private final NewsletterAudience audience;
  private final Mailable people;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final ComputingRoom room;
  private final Account account;
  private final AccountClock clock;
  private final Cache<Known, Running> running =
      Caffeine.newBuilder().maximumSize(6).expireAfterWrite(Duration.ofMinutes(2)).build();
  private final Cache<Object, Run> runs =
      Caffeine.newBuilder().maximumSize(1_000).expireAfterAccess(Duration.ofMinutes(30)).build();

  DaysAhead(
      Insiders insiders,
      Newsletters newsletters,
      NewsletterAudience audience,
      Mailable people,
      Journeys journeys,
      Catalogues catalogues,
      ComputingRoom room,
      Account account,
      AccountClock clock) {
    this.insiders = insiders;
    this.newsletters = newsletters;
    this.audience = audience;
    this.people = people;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.room = room;
    this.account = account;
    this.clock = clock;
  }

  /** What those inside and those to come get depends on. */
  private record Known(Insiders.UpTo upTo, long hour, Days days, Optional<Condition> filter) {}

  private record Run(DryRun run, Tallies tallies) {}

  /** What journeys send that run. */
  private record Running(
      List<Insiders.Running> journeys,
      List<Outlook> outlooks,
      Insiders.Inside inside,
      List<OfThoseInside.Ahead> ahead) {}

  /**
   * A lane.
   *
   * @param readers who get it, of a newsletter
   * @param mainDay the day on which these do, from 0; -1 if it is none of those shown
   * @param gone emails that have gone, by hour
   */
  record LaneAhead(
      long id,
      boolean newsletter,
      String name,
      String note,
      boolean sure,
      Outlook ahead,
      long[] gone,
      BitSet readers,
      int mainDay,
      Optional<Newsletters.Coming> coming) {}

  /** All of it. */
  record Ahead(Days days, LocalDate today, List<LaneAhead> lanes, Crowding crowding, long people) {}

  /** By the account's clock. */
  LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), account.zone());
  }

  /**
   * @param filter of whom alone it is told; those who are still to come are left out then
   */
  Ahead of(LocalDate from, int count, Optional<Condition> filter) {
    long now = clock.now();
    ZoneId zone = account.zone();
    Days days = new Days(from, count, zone);
    LocalDate today = LocalDate.ofInstant(Instant.ofEpochSecond(now), zone);
    Known known = new Known(insiders.upTo(), now / HOUR, days, filter);
    Optional<BitSet> only = filter.map(who -> people.meant(who));
    Running runs = running.getIfPresent(known);
    if (runs == null) {
      runs = ComputingRoom.await(begin(now, days, only).result());
      running.put(known, runs);
    }
    Catalogue catalogue = catalogues.current();
    List<Newsletters.Coming> coming = newsletters.coming();
    Map<Long, LaneAhead> lanes = new LinkedHashMap<>();
    coming.forEach(one -> lanes.put(one.id(), newsletter(one, days, catalogue, only)));
    for (int n = 0; n < runs.journeys().size(); n++) {
      Insiders.Running one = runs.journeys().get(n);
      Outlook outlook = runs.outlooks().get(n);
      LaneAhead there = lanes.get(one.journey());
      if (there != null) {
        there.ahead().add(outlook);
      } else {
        lanes.put(one.journey(), journey(one, outlook));
      }
    }
    if (only.isEmpty()) {
      gone(lanes, days, now);
    }
    return new Ahead(
        days,
        today,
        List.copyOf(lanes.values()),
        crowding(runs, List.copyOf(lanes.values()), days),
        runs.inside().inside());
  }

  private org.opentrellis.app.computing.Task<Running> begin(
      long now, Days days, Optional<BitSet> only) {
    List<Insiders.Running> all = insiders.journeys(now);
    Insiders.Inside inside =
        insiders.inside(PEOPLE_INSIDE, now, days.begins() + days.count() * 24L * HOUR, only);
    Catalogue catalogue = catalogues.current();
    List<Behaviour> behaviours =
        all.stream().map(one -> journeys.find(one.journey()).behaviour()).toList();
    return room.begin(
        Lane.QUICK,
        effort -> work(all, behaviours, inside, only.isEmpty(), catalogue, now, days, effort));
  }

  private Running work(
      List<Insiders.Running> all,
      List<Behaviour> behaviours,
      Insiders.Inside inside,
      boolean othersCome,
      Catalogue catalogue,
      long now,
      Days days,
      Effort effort) {
    List<Outlook> outlooks = all.stream().map(one -> new Outlook(days)).toList();
    long end = days.begins() + days.count() * 24L * HOUR;
    int left = (int) Math.max(0, Math.ceilDiv(end - now, 24 * HOUR));
    if (all.isEmpty() || left == 0) {
      return new Running(all, outlooks, inside, List.of());
    }
    int draws = Math.max(2, Math.min(MOST_DRAWS, TURNS / Math.max(1, inside.some().size())));
    GoingOn going =
        new GoingOn(
            all.stream().map(Insiders.Running::plan).toList(),
            catalogue,
            behaviours,
            insiders.clocks(now),
            Instant.ofEpochSecond(now),
            left);
    List<OfThoseInside.Ahead> ahead = OfThoseInside.of(inside.some(), draws, going, outlooks);
    for (int n = 0; n < all.size(); n++) {
      Insiders.Running one = all.get(n);
      if (othersCome && one.comePerDay() > 0) {
        outlooks.get(n).add(newcomers(one, behaviours.get(n), catalogue, now, left, days, effort));
      }
    }
    account.quietHours().ifPresent(quiet -> outlooks.forEach(one -> one.holdOver(quiet)));
    return new Running(all, outlooks, inside, ahead);
  }

  private Outlook newcomers(
      Insiders.Running of,
      Behaviour behaviour,
      Catalogue catalogue,
      long now,
      int left,
      Days days,
      Effort effort) {
    Instant start = Instant.ofEpochSecond(now);
    LocalDate day = start.atZone(days.zone()).toLocalDate();
    Run run =
        runs.get(
            List.of(of.plan(), behaviour, day, left),
            key -> {
              DryRun dry =
                  new DryRun(
                      of.plan(),
                      catalogue,
                      behaviour,
                      new CohortSettings(
                          NEWCOMERS,
                          1,
                          day.atStartOfDay(ZoneOffset.UTC).toInstant(),
                          left,
                          new ArrivalPlan.Evenly(left),
                          0));
              return new Run(dry, dry.run(effort));
            });
    return OfNewcomers.of(run.run(), run.tallies(), of.comePerDay() * left, false, days);
  }

  private LaneAhead newsletter(
      Newsletters.Coming of, Days days, Catalogue catalogue, Optional<BitSet> only) {
    BitSet all = audience.lately(of.newsletter());
    BitSet who = only.map(some -> both(all, some)).orElse(all);
    LocalDate date = of.newsletter().going().orElseThrow().date();
    Run run =
        runs.get(
            List.of(of.document(), days.zone()),
            key -> {
              DryRun dry =
                  new DryRun(
                      of.plan().edit().entryFilter(Optional.empty()).done(),
                      catalogue,
                      journeys.usual(),
                      CohortSettings.of(
                          READERS, 1, date.atStartOfDay(ZoneOffset.UTC).toInstant(), READERS_DAYS));
              return new Run(dry, dry.run(1));
            });
    long people = who.cardinality();
    Outlook outlook = OfNewcomers.of(run.run(), run.tallies(), people, true, days);
    account.quietHours().ifPresent(outlook::holdOver);
    long at = date.atTime(of.newsletter().going().get().at()).atZone(days.zone()).toEpochSecond();
    int hour = days.hourOf(at);
    return new LaneAhead(
        of.id(),
        true,
        of.newsletter().name(),
        (of.planned() ? "newsletter" : "draft newsletter")
            + ", "
            + of.newsletter().going().get().at(),
        of.planned(),
        outlook,
        new long[days.count() * 24],
        who,
        hour < 0 ? -1 : hour / 24,
        Optional.of(of));
  }

  private static BitSet both(BitSet one, BitSet other) {
    BitSet both = (BitSet) one.clone();
    both.and(other);
    return both;
  }

  private LaneAhead journey(Insiders.Running of, Outlook outlook) {
    boolean newsletter =
        of.plan().purpose() == org.opentrellis.core.journey.Purpose.NEWSLETTER
            && of.plan().triggers().stream()
                .anyMatch(org.opentrellis.core.journey.Trigger.OnDate.class::isInstance);
    String come =
        of.byDate()
            ? " · by date"
            : of.comePerDay() >= 0.95
                ? String.format(java.util.Locale.ROOT, " · %.0f come a day", of.comePerDay())
                : of.comePerDay() > 0 ? " · <1 come a day" : "";
    return new LaneAhead(
        of.journey(),
        newsletter,
        of.name(),
        newsletter ? "newsletter, going out" : (of.since() == null ? "closing" : "open" + come),
        true,
        outlook,
        new long[outlook.days().count() * 24],
        new BitSet(),
        -1,
        Optional.empty());
  }

  /** What has gone, also of what is open no more. */
  private void gone(Map<Long, LaneAhead> lanes, Days days, long now) {
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
                .filter(one -> !lanes.containsKey(one))
                .toList());
    names.forEach(
        (id, name) ->
            lanes.put(
                id,
                new LaneAhead(
                    id,
                    isNewsletter(id),
                    name,
                    isNewsletter(id) ? "newsletter, gone" : "not open any more",
                    true,
                    new Outlook(days),
                    new long[days.count() * 24],
                    new BitSet(),
                    -1,
                    Optional.empty())));
    for (Insiders.Gone one : gone) {
      int hour = days.hourOf(one.hour() * HOUR);
      LaneAhead lane = lanes.get(one.journey());
      if (hour >= 0 && lane != null) {
        lane.gone()[hour] += one.emails();
      }
    }
  }

  private boolean isNewsletter(long id) {
    return journeys.names().stream().noneMatch(one -> one.id() == id);
  }

  private Crowding crowding(Running runs, List<LaneAhead> lanes, Days days) {
    Crowding crowding = new Crowding(days, runs.inside().all(), account.limits().emailsPerWeek());
    Map<Long, Integer> positions = new HashMap<>();
    for (int n = 0; n < lanes.size(); n++) {
      positions.put(lanes.get(n).id(), n);
      if (lanes.get(n).mainDay() >= 0) {
        crowding.newsletter(n, lanes.get(n).mainDay(), lanes.get(n).readers());
      }
    }
    for (OfThoseInside.Ahead one : runs.ahead()) {
      List<List<Crowding.Got>> draws = new ArrayList<>();
      for (List<Crowding.Got> draw : one.draws()) {
        draws.add(
            draw.stream()
                .map(
                    got ->
                        new Crowding.Got(
                            positions.get(runs.journeys().get(got.lane()).journey()), got.day()))
                .toList());
      }
      crowding.goesOn(one.number(), one.weight(), draws);
    }
    return crowding;
  }
}
