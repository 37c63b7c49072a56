package org.opentrellis.app.live;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.people.Standings;
import org.opentrellis.core.ahead.OfThoseInside;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.machine.PersonState;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What runs, who is inside and how many come: what the days ahead are worked out from. */
@Component
@Transactional(readOnly = true)
public class Insiders {
  /** As in so many days before, people come on the days ahead. */
  public static final int LOOKED_BACK = 28;

  private static final long DAY = 24L * 3600;

  private final OpenJourneys open;
  private final Journeys journeys;
  private final EditionMapper editions;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final OutboxMapper outbox;
  private final Lookouts lookouts;
  private final Standings standings;
  private final ZoneClocks clocks;

  Insiders(
      OpenJourneys open,
      Journeys journeys,
      EditionMapper editions,
      LifeMapper lives,
      HappeningMapper log,
      OutboxMapper outbox,
      Lookouts lookouts,
      Standings standings,
      ZoneClocks clocks) {
    this.open = open;
    this.journeys = journeys;
    this.editions = editions;
    this.lives = lives;
    this.log = log;
    this.outbox = outbox;
    this.lookouts = lookouts;
    this.standings = standings;
    this.clocks = clocks;
  }

  /**
   * What is known: the last line of the log, and the newest edition of anything but newsletters,
   * which nobody is inside of before they go out.
   */
  public record UpTo(long happening, int edition) {}

  public UpTo upTo() {
    return new UpTo(log.last(), editions.newestOfOthers());
  }

  /**
   * A journey that people enter or are inside of.
   *
   * @param plan as it runs
   * @param since when it has been open, in epoch seconds; null if nobody enters
   * @param comePerDay how many have come a day lately, since it was opened; 0 if it is by date
   * @param byDate whether dates bring people, so that it is known who comes
   */
  public record Running(
      long journey,
      String name,
      Journey plan,
      @Nullable Long since,
      double comePerDay,
      boolean byDate) {}

  /**
   * In the order in which they were opened first. Newsletters that nobody is inside of are left
   * out: it is known otherwise when they go, and to whom.
   */
  public List<Running> journeys(long now) {
    Map<Long, @Nullable Long> all = new LinkedHashMap<>();
    Set<Long> newsletters =
        journeys.namesOf(JourneyKind.NEWSLETTER).stream()
            .map(Journeys.Named::id)
            .collect(Collectors.toSet());
    open.entrances().stream()
        .filter(one -> !newsletters.contains(one.journey()))
        .forEach(one -> all.put(one.journey(), one.since()));
    lives.atSteps().forEach(at -> all.putIfAbsent(at.journeyId(), null));
    long from = now - LOOKED_BACK * DAY;
    Map<Long, Long> came =
        log.enteredSince(from).stream()
            .collect(
                Collectors.toMap(HappeningMapper.Times::journeyId, HappeningMapper.Times::times));
    return all.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(one -> running(one.getKey(), one.getValue(), came, now))
        .toList();
  }

  private Running running(long journey, @Nullable Long since, Map<Long, Long> came, long now) {
    Journey plan =
        editions.opened(journey).map(row -> ((Edition.Opened) row.edition()).plan()).orElseThrow();
    double perDay = 0;
    if (since != null && !byDate(plan)) {
      double days = Math.min(LOOKED_BACK, Math.max(1, (now - since) / (double) DAY));
      perDay = came.getOrDefault(journey, 0L) / days;
    }
    return new Running(journey, open.nameOf(journey), plan, since, perDay, byDate(plan));
  }

  /**
   * Those who are inside, or whom a date brings.
   *
   * @param inside how many are inside
   * @param all the numbers of all of them
   * @param some those who are looked at, each for so many
   */
  public record Inside(int inside, BitSet all, List<OfThoseInside.Insider> some) {}

  /**
   * @param most so many of those inside are looked at, and a tenth of that of the others; if there
   *     are more, those on whom the lot falls
   * @param from in epoch seconds
   * @param until up to when dates bring people
   * @param only these of them; empty for all
   */
  public Inside inside(int most, long from, long until, Optional<BitSet> only) {
    Map<Long, Map<JourneyName, Long>> comings = comings(from, until);
    only.ifPresent(some -> comings.keySet().removeIf(one -> !some.get(Math.toIntExact(one))));
    List<Long> inside =
        lives.insideAll().stream()
            .filter(one -> only.isEmpty() || only.get().get(Math.toIntExact(one)))
            .toList();
    Set<Long> known = new HashSet<>(inside);
    List<Long> others = comings.keySet().stream().filter(one -> !known.contains(one)).toList();
    BitSet all = new BitSet();
    inside.forEach(one -> all.set(Math.toIntExact(one)));
    others.forEach(one -> all.set(Math.toIntExact(one)));
    List<OfThoseInside.Insider> some = new ArrayList<>();
    some(inside, most, lives::known, comings, some);
    some(others, Math.max(1, most / 10), this::standing, comings, some);
    return new Inside(inside.size(), all, some);
  }

  private static void some(
      List<Long> people,
      int most,
      Function<List<Long>, Map<Long, PersonState>> standing,
      Map<Long, Map<JourneyName, Long>> comings,
      List<OfThoseInside.Insider> some) {
    List<Long> looked = people.size() > most ? byLot(people, most) : people;
    double weight = looked.isEmpty() ? 1 : (double) people.size() / looked.size();
    standing
        .apply(looked)
        .forEach(
            (one, state) ->
                some.add(
                    new OfThoseInside.Insider(
                        Math.toIntExact(one), weight, state, comings.getOrDefault(one, Map.of()))));
  }

  /**
   * Whoever has had to do with a journey stands as they did then, the others as their record says.
   */
  private Map<Long, PersonState> standing(List<Long> people) {
    Map<Long, PersonState> all = new TreeMap<>(lives.known(people));
    people.forEach(one -> all.computeIfAbsent(one, standings::of));
    return all;
  }

  private static List<Long> byLot(List<Long> people, int most) {
    SplittableRandom lot = new SplittableRandom(most);
    return people.stream()
        .map(one -> Map.entry(lot.nextLong(), one))
        .sorted(Map.Entry.comparingByKey())
        .limit(most)
        .map(Map.Entry::getValue)
        .sorted()
        .toList();
  }

  /** Whom dates bring into journeys, and when. */
  private Map<Long, Map<JourneyName, Long>> comings(long from, long until) {
    Map<Long, Map<JourneyName, Long>> all = new TreeMap<>();
    List<Lookouts.Moment> moments =
        open.entrances().stream()
            .flatMap(one -> lookouts.ahead(one, from, until).stream())
            .toList();
    lookouts
        .whom(moments)
        .forEach(
            (moment, people) ->
                people.forEach(
                    person ->
                        all.computeIfAbsent(person, none -> new HashMap<>())
                            .putIfAbsent(moment.journey().name(), moment.at())));
    return all;
  }

  /** Whether only dates bring people into a journey: then it is known who comes. */
  private static boolean byDate(Journey plan) {
    return !plan.triggers().isEmpty()
        && plan.triggers().stream()
            .allMatch(one -> one instanceof Trigger.DateComes || one instanceof Trigger.OnDate);
  }

  /** Clocks that are quick around a moment. */
  public Function<ZoneId, ZoneClock> clocks(long now) {
    return clocks.around(now);
  }

  /**
   * Emails that have gone out.
   *
   * @param hour since 1970, in epoch seconds / 3600
   */
  public record Gone(long journey, long hour, long emails) {}

  public List<Gone> gone(long from, long to) {
    return outbox.goneByHour(from, to);
  }

  /** How many emails have gone out in a span. */
  public long goneIn(long from, long to) {
    return gone(from, to).stream().mapToLong(Gone::emails).sum();
  }

  /** How journeys are called. */
  public Map<Long, String> names(List<Long> journeys) {
    Map<Long, String> names = new HashMap<>();
    journeys.forEach(one -> names.put(one, open.nameOf(one)));
    return names;
  }
}
