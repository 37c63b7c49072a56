package org.opentrellis.app.live;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Gatherers;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.clock.ClockKeeper;
import org.opentrellis.app.people.DatedPeople;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Trigger;
import org.springframework.stereotype.Component;

/**
 * Looks out for whom time alone brings into open journeys: by a date in their record, by a fixed
 * date, or because they are in a segment that they were not in before. Of the latter those of whom
 * no journey knows yet; the others find it themselves in their turns.
 */
@Component
class Lookouts {
  private static final int PIECE = 50;
  private static final long HOUR = 3600;

  /** So far back one looks for what nobody saw while the application was off. */
  private static final long FURTHEST_BACK = 40L * 24 * HOUR;

  private final OpenJourneys open;
  private final DatedPeople people;
  private final Audiences audiences;
  private final Arriving arriving;
  private final PutOff putOff;
  private final ClockKeeper keeper;
  private final AccountClock clock;
  private volatile boolean changed;

  Lookouts(
      OpenJourneys open,
      DatedPeople people,
      Audiences audiences,
      Arriving arriving,
      PutOff putOff,
      ClockKeeper keeper,
      AccountClock clock) {
    this.open = open;
    this.people = people;
    this.audiences = audiences;
    this.arriving = arriving;
    this.putOff = putOff;
    this.keeper = keeper;
    this.clock = clock;
  }

  /** Records have changed, so somebody may be in a segment now: it is looked at again at once. */
  void somethingChanged() {
    changed = true;
  }

  /** A moment at which a trigger brings those of a zone. */
  record Moment(long at, OpenJourneys.Open journey, Trigger trigger, ZoneId zone, LocalDate day) {}

  /** When there is something to look at next, or {@link Long#MAX_VALUE}. */
  long next() {
    List<OpenJourneys.Open> all = open.entrances();
    if (all.stream().allMatch(one -> one.timed().isEmpty())) {
      return Long.MAX_VALUE;
    }
    if (changed && all.stream().anyMatch(one -> !one.segments().isEmpty())) {
      return clock.now();
    }
    long since = since();
    long next = Long.MAX_VALUE;
    List<ZoneId> zones = people.zones();
    for (OpenJourneys.Open one : all) {
      for (Trigger trigger : one.timed()) {
        next = Math.min(next, next(one, trigger, zones, since));
      }
    }
    return next;
  }

  private static long next(OpenJourneys.Open one, Trigger trigger, List<ZoneId> zones, long since) {
    if (trigger instanceof Trigger.EntersSegment) {
      return Math.floorDiv(since, HOUR) * HOUR + HOUR;
    }
    long next = Long.MAX_VALUE;
    for (ZoneId zone : zones) {
      for (Moment moment : moments(one, trigger, zone, since, since + 2 * 24 * HOUR)) {
        next = Math.min(next, moment.at());
      }
    }
    return next == Long.MAX_VALUE && trigger instanceof Trigger.OnDate on
        ? zones.stream()
            .mapToLong(
                zone ->
                    on.date().atTime(on.at()).atZone(one.ownZone().orElse(zone)).toEpochSecond())
            .filter(at -> at > Math.max(since, one.since()))
            .min()
            .orElse(Long.MAX_VALUE)
        : next;
  }

  private long since() {
    long furthest = clock.now() - FURTHEST_BACK;
    return Math.max(furthest, keeper.lookedTo().orElse(clock.now() - 1));
  }

  /** Has those come whom time has brought up to a moment. */
  void lookTo(long to) {
    Optional<Long> looked = keeper.lookedTo();
    List<OpenJourneys.Open> all = open.entrances();
    boolean timed = all.stream().anyMatch(one -> !one.timed().isEmpty());
    if (timed && looked.isEmpty()) {
      keeper.lookTo(to);
    }
    if (!timed || looked.isEmpty() || looked.get() >= to && !changed) {
      return;
    }
    boolean segments = changed;
    changed = false;
    long since = since();
    List<Moment> moments = new ArrayList<>();
    List<ZoneId> zones = people.zones();
    boolean hours = segments || Math.floorDiv(since, HOUR) < Math.floorDiv(to, HOUR);
    for (OpenJourneys.Open one : all) {
      for (Trigger trigger : one.timed()) {
        if (trigger instanceof Trigger.EntersSegment enters) {
          if (hours) {
            segment(one, enters, to);
          }
        } else {
          zones.forEach(zone -> moments.addAll(moments(one, trigger, zone, since, to)));
        }
      }
    }
    moments.sort(Comparator.comparingLong(Moment::at));
    moments.forEach(moment -> come(moment, to));
    if (to > since) {
      keeper.lookTo(to);
    }
  }

  /** A journey opens: whoever is in its segments already does not enter. */
  void opens(long journey) {
    if (keeper.lookedTo().isEmpty()) {
      keeper.lookTo(clock.now());
    }
    open.entrances().stream()
        .filter(one -> one.journey() == journey)
        .forEach(one -> one.segments().forEach(name -> members(one, name)));
  }

  private static List<Moment> moments(
      OpenJourneys.Open one, Trigger trigger, ZoneId zone, long since, long to) {
    long from = Math.max(since, one.since());
    ZoneId clock = one.ownZone().orElse(zone);
    return switch (trigger) {
      case Trigger.DateComes comes -> {
        List<Moment> all = new ArrayList<>();
        LocalDate day = LocalDate.ofInstant(Instant.ofEpochSecond(from), clock);
        LocalDate last = LocalDate.ofInstant(Instant.ofEpochSecond(to), clock);
        for (; !day.isAfter(last); day = day.plusDays(1)) {
          add(all, one, trigger, zone, day, comes.at(), from, to);
        }
        yield all;
      }
      case Trigger.OnDate on -> {
        List<Moment> all = new ArrayList<>();
        add(all, one, trigger, zone, on.date(), on.at(), from, to);
        yield all;
      }
      default -> List.of();
    };
  }

  private static void add(
      List<Moment> all,
      OpenJourneys.Open one,
      Trigger trigger,
      ZoneId zone,
      LocalDate day,
      LocalTime time,
      long from,
      long to) {
    long at = ZonedDateTime.of(day, time, one.ownZone().orElse(zone)).toEpochSecond();
    if (at > from && at <= to) {
      all.add(new Moment(at, one, trigger, zone, day));
    }
  }

  /** The moments at which dates bring people into a journey after one moment and up to another. */
  List<Moment> ahead(OpenJourneys.Open one, long after, long to) {
    List<ZoneId> zones = people.zones();
    return one.triggers().stream()
        .flatMap(
            trigger ->
                zones.stream().flatMap(zone -> moments(one, trigger, zone, after, to).stream()))
        .filter(moment -> !(moment.trigger() instanceof Trigger.OnDate on && isAudience(one)))
        .toList();
  }

  private boolean isAudience(OpenJourneys.Open one) {
    return audiences.isOne(one.journey());
  }

  private record Yearly(FieldName field, boolean onFirstOfMarch) {}

  private record On(ZoneId zone, LocalDate day) {}

  /**
   * Whom some moments bring, of those that bring anybody. Dates that return every year are looked
   * up together, for all journeys and zones.
   */
  Map<Moment, List<Long>> whom(List<Moment> moments) {
    Map<Yearly, Set<LocalDate>> asked = new HashMap<>();
    for (Moment moment : moments) {
      yearly(moment)
          .ifPresent(of -> asked.computeIfAbsent(of, none -> new HashSet<>()).add(dated(moment)));
    }
    Map<Yearly, Map<On, List<Long>>> known = new HashMap<>();
    asked.forEach(
        (of, days) -> {
          Map<On, List<Long>> found = new HashMap<>();
          people
              .returning(of.field(), days, of.onFirstOfMarch())
              .forEach(
                  one ->
                      found
                          .computeIfAbsent(new On(one.zone(), one.day()), on -> new ArrayList<>())
                          .add(one.person()));
          known.put(of, found);
        });
    Map<Moment, List<Long>> all = new LinkedHashMap<>();
    for (Moment moment : moments) {
      List<Long> who =
          yearly(moment)
              .map(
                  of -> known.get(of).getOrDefault(new On(moment.zone(), dated(moment)), List.of()))
              .orElseGet(() -> whom(moment));
      if (!who.isEmpty()) {
        all.put(moment, who);
      }
    }
    return all;
  }

  private static Optional<Yearly> yearly(Moment moment) {
    return moment.trigger() instanceof Trigger.DateComes comes && comes.everyYear()
        ? Optional.of(new Yearly(comes.field(), comes.onFirstOfMarch()))
        : Optional.empty();
  }

  /** The date in the field that brings somebody at a moment. */
  private static LocalDate dated(Moment moment) {
    return moment.trigger() instanceof Trigger.DateComes comes
        ? moment.day().minusDays(comes.days())
        : moment.day();
  }

  /** Whom a moment brings. */
  List<Long> whom(Moment moment) {
    return switch (moment.trigger()) {
      case Trigger.DateComes comes -> {
        LocalDate date = dated(moment);
        yield comes.everyYear()
            ? people.returning(comes.field(), moment.zone(), date, comes.onFirstOfMarch())
            : people.with(comes.field(), moment.zone(), date);
      }
      case Trigger.OnDate on -> {
        List<Long> there = people.of(moment.zone());
        yield audiences
            .of(moment.journey().journey())
            .map(those -> there.stream().filter(one -> those.get(Math.toIntExact(one))).toList())
            .orElse(there);
      }
      default -> List.of();
    };
  }

  private void come(Moment moment, long now) {
    List<Long> who = whom(moment);
    Happening came = new Happening.Came(moment.at(), moment.journey().name(), moment.trigger());
    who.stream()
        .gather(Gatherers.windowFixed(PIECE))
        .forEach(piece -> come(piece, came, some -> arriving.come(some, came, now)));
  }

  private void come(List<Long> piece, Happening came, Consumer<List<Long>> all) {
    OneByOne.ifNeedBe(
        piece, all, (one, failed) -> putOff.until(one, came.at(), List.of(came), failed));
  }

  private Set<Long> members(OpenJourneys.Open one, SegmentName segment) {
    Set<Long> now =
        one.catalogue().segment(segment).stream()
            .flatMap(found -> people.meant(found.who()).stream())
            .collect(HashSet::new, HashSet::add, HashSet::addAll);
    return arriving.newMembers(one.journey(), segment, now);
  }

  private void segment(OpenJourneys.Open one, Trigger.EntersSegment enters, long now) {
    List<Long> fresh = members(one, enters.segment()).stream().sorted().toList();
    Happening came = new Happening.Came(now, one.name(), enters);
    fresh.stream()
        .gather(Gatherers.windowFixed(PIECE))
        .forEach(piece -> come(piece, came, some -> arriving.comeUnknown(some, came, now)));
  }
}
