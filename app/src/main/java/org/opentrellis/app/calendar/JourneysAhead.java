package org.opentrellis.app.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.computing.Task;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.app.people.Mailable;
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
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Trigger;
import org.springframework.stereotype.Component;

/**
 * What journeys send that run: to those inside as they stand, and to those who are to come as
 * lately. It is kept for a while.
 */
@Component
class JourneysAhead {
  /** So many of those inside are looked at; more are stood for. */
  private static final int PEOPLE_INSIDE = 1_500;

  private static final int MOST_DRAWS = 20;
  private static final int TURNS = 12_000;
  private static final int NEWCOMERS = 2_000;
  private static final long HOUR = 3600;

  private final Insiders insiders;
  private final Mailable people;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final RunsAhead runs;
  private final ComputingRoom room;
  private final Account account;
  private final AccountClock clock;
  private final Cache<Known, Running> running =
      Caffeine.newBuilder().maximumSize(6).expireAfterWrite(Duration.ofMinutes(2)).build();

  JourneysAhead(
      Insiders insiders,
      Mailable people,
      Journeys journeys,
      Catalogues catalogues,
      RunsAhead runs,
      ComputingRoom room,
      Account account,
      AccountClock clock) {
    this.insiders = insiders;
    this.people = people;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.runs = runs;
    this.room = room;
    this.account = account;
    this.clock = clock;
  }

  /** What it depends on. */
  private record Known(Insiders.UpTo upTo, long hour, Days days, Optional<Condition> filter) {}

  /**
   * @param outlooks by journey
   * @param ahead what each of those who were looked at gets
   */
  record Running(
      List<Insiders.Running> journeys,
      List<Outlook> outlooks,
      Insiders.Inside inside,
      List<OfThoseInside.Ahead> ahead) {}

  /**
   * @param filter of whom alone it is told; those who are still to come are left out then
   */
  Running of(Days days, Optional<Condition> filter) {
    long now = clock.now();
    Known known = new Known(insiders.upTo(), now / HOUR, days, filter);
    Running there = running.getIfPresent(known);
    if (there == null) {
      there = ComputingRoom.await(begin(now, days, filter.map(people::meant)).result());
      running.put(known, there);
    }
    return there;
  }

  private Task<Running> begin(long now, Days days, Optional<BitSet> only) {
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
    int left = left(now, days);
    if (all.isEmpty() || left == 0) {
      return new Running(all, outlooks, inside, List.of());
    }
    List<OfThoseInside.Ahead> ahead =
        goOn(
            inside.some(),
            all.stream().map(Insiders.Running::plan).toList(),
            behaviours,
            catalogue,
            now,
            days,
            outlooks);
    for (int n = 0; n < all.size(); n++) {
      Insiders.Running one = all.get(n);
      if (othersCome && one.comePerDay() > 0) {
        outlooks.get(n).add(newcomers(one, behaviours.get(n), catalogue, now, left, days, effort));
      }
    }
    account.quietHours().ifPresent(quiet -> outlooks.forEach(one -> one.holdOver(quiet)));
    return new Running(all, outlooks, inside, ahead);
  }

  /**
   * Those who are inside go on, each as often as there is time for; the same people go the same
   * way.
   *
   * @param outlooks by plan; added to
   */
  List<OfThoseInside.Ahead> goOn(
      List<OfThoseInside.Insider> people,
      List<Journey> plans,
      List<Behaviour> behaviours,
      Catalogue catalogue,
      long now,
      Days days,
      List<Outlook> outlooks) {
    int draws = Math.max(2, Math.min(MOST_DRAWS, TURNS / Math.max(1, people.size())));
    GoingOn going =
        new GoingOn(
            plans,
            catalogue,
            behaviours,
            insiders.clocks(now),
            Instant.ofEpochSecond(now),
            left(now, days));
    return OfThoseInside.of(people, draws, going, outlooks);
  }

  /** How many days of those shown are still to come. */
  static int left(long now, Days days) {
    long end = days.begins() + days.count() * 24L * HOUR;
    return (int) Math.max(0, Math.ceilDiv(end - now, 24 * HOUR));
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
    RunsAhead.Run run =
        runs.of(
            List.of(of.plan(), behaviour, catalogue.pressure(), day, left),
            effort,
            () ->
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
                        0)));
    return OfNewcomers.of(run.run(), run.tallies(), of.comePerDay() * left, false, days);
  }

  /** A journey's lane. */
  LaneAhead lane(Insiders.Running of, Outlook outlook) {
    boolean newsletter =
        of.plan().purpose() == Purpose.NEWSLETTER
            && of.plan().triggers().stream().anyMatch(Trigger.OnDate.class::isInstance);
    String come =
        of.byDate()
            ? " · by date"
            : of.comePerDay() >= 0.95
                ? String.format(Locale.ROOT, " · %.0f come a day", of.comePerDay())
                : of.comePerDay() > 0 ? " · <1 come a day" : "";
    return LaneAhead.of(
        of.journey(),
        newsletter ? CalendarView.LaneKind.NEWSLETTER : CalendarView.LaneKind.JOURNEY,
        of.name(),
        newsletter ? "newsletter, going out" : (of.since() == null ? "closing" : "open" + come),
        true,
        outlook);
  }
}
