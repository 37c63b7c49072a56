package org.opentrellis.app.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.opentrellis.app.calendar.CalendarView.LaneKind;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.core.ahead.Crowding;
import org.opentrellis.core.journey.Journey;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tries rules of journeys on those who are inside: the same people go on in the same way, with and
 * without the rule. The newsletters of the days around reach them, too.
 */
@Component
class RulesTried {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  /** So many journeys are tried, those that meet others at most people. */
  private static final int JOURNEYS = 2;

  private final DaysAhead ahead;
  private final JourneysAhead running;
  private final TriedAhead otherwise;
  private final Journeys journeys;

  RulesTried(DaysAhead ahead, JourneysAhead running, TriedAhead otherwise, Journeys journeys) {
    this.ahead = ahead;
    this.running = running;
    this.otherwise = otherwise;
    this.journeys = journeys;
  }

  /**
   * What a rule of a journey would do.
   *
   * @param now how many get more than one email on the day, and then
   * @param nowInAll on how many days of all that are shown somebody does, and then
   * @param helps whether it is worth speaking of
   */
  record TriedRule(
      long journey,
      MailRule rule,
      double now,
      double then,
      double nowInAll,
      double thenInAll,
      boolean helps,
      String sentence) {}

  private record Candidate(long journey, String name, MailRule rule, Journey plan) {}

  /** What was tried for a day, that which leaves fewest first; nothing if no journey is in it. */
  List<TriedRule> of(DaysAhead.Wanted wanted, int day) {
    DaysAhead.Ahead of = ahead.of(wanted);
    LocalDate date = wanted.from().plusDays(day);
    JourneysAhead.Running runs = running.of(of.days(), wanted.filter());
    List<Candidate> candidates = candidates(of, runs, day, date.getDayOfWeek());
    if (candidates.isEmpty()) {
      return List.of();
    }
    List<TriedAhead.Change> changes =
        Stream.concat(
                Stream.of(TriedAhead.Change.NONE),
                candidates.stream().map(one -> new TriedAhead.Change(one.journey(), one.plan())))
            .toList();
    List<Crowding> crowdings =
        otherwise.tried(of.days(), wanted.filter(), near(of, day), changes).stream()
            .map(people -> ahead.crowding(runs, people, of))
            .toList();
    Crowding now = crowdings.getFirst();
    return IntStream.range(0, candidates.size())
        .mapToObj(n -> tried(candidates.get(n), now, crowdings.get(n + 1), of, day))
        .sorted(
            Comparator.comparingDouble((TriedRule one) -> Math.rint(one.then()))
                .thenComparingDouble(TriedRule::thenInAll))
        .toList();
  }

  private static List<Candidate> candidates(
      DaysAhead.Ahead of, JourneysAhead.Running runs, int day, DayOfWeek weekday) {
    Map<Long, Journey> plans =
        runs.journeys().stream()
            .collect(Collectors.toMap(Insiders.Running::journey, Insiders.Running::plan));
    List<LaneAhead> meeting =
        of.crowding().meetings(day).stream()
            .flatMap(meet -> Stream.of(meet.one(), meet.other()))
            .distinct()
            .map(lane -> of.lanes().get(lane))
            .filter(lane -> lane.kind() == LaneKind.JOURNEY && plans.containsKey(lane.id()))
            .limit(JOURNEYS)
            .toList();
    List<Candidate> candidates = new ArrayList<>();
    for (LaneAhead lane : meeting) {
      for (MailRule rule : MailRule.values()) {
        rule.in(plans.get(lane.id()), weekday)
            .ifPresent(plan -> candidates.add(new Candidate(lane.id(), lane.name(), rule, plan)));
      }
    }
    return candidates;
  }

  /** The newsletters of the days around one, which reach those who are inside, too. */
  private static List<TriedAhead.Reaching> near(DaysAhead.Ahead of, int day) {
    LocalDate date = of.days().first().plusDays(day);
    return of.lanes().stream()
        .filter(LaneAhead::sure)
        .flatMap(
            lane ->
                lane.letters().stream()
                    .filter(letter -> isNear(letter, date))
                    .map(
                        letter ->
                            new TriedAhead.Reaching(
                                letter.plan(), LaneAhead.at(letter, of.days()), lane.readers())))
        .toList();
  }

  private static boolean isNear(Newsletters.Coming letter, LocalDate day) {
    LocalDate on = letter.newsletter().going().orElseThrow().date();
    return !on.isBefore(day.minusDays(1)) && !on.isAfter(day.plusDays(1));
  }

  private static TriedRule tried(
      Candidate of, Crowding before, Crowding after, DaysAhead.Ahead shown, int day) {
    double now = before.on(day).mean();
    double then = after.on(day).mean();
    double nowInAll = inAll(before, shown);
    double thenInAll = inAll(after, shown);
    LocalDate date = shown.days().first().plusDays(day);
    boolean helps = then < Mends.WORTH * now && thenInAll < nowInAll;
    return new TriedRule(
        of.journey(),
        of.rule(),
        rounded(now),
        rounded(then),
        rounded(nowInAll),
        rounded(thenInAll),
        helps,
        "If %s: %s more than one email on %s, and %s without it; on all days shown %s, and %s."
            .formatted(
                of.rule().words(of.name(), date.getDayOfWeek()),
                get(then),
                DAY.format(date),
                Math.round(now),
                Math.round(thenInAll),
                Math.round(nowInAll)));
  }

  private static String get(double people) {
    return Calendar.persons(people) + (Math.round(people) == 1 ? " gets" : " get");
  }

  private static double inAll(Crowding crowding, DaysAhead.Ahead shown) {
    return IntStream.range(0, shown.days().count()).mapToDouble(n -> crowding.on(n).mean()).sum();
  }

  private static double rounded(double value) {
    return Math.round(value * 10) / 10.0;
  }

  /**
   * A journey keeps a rule as it is saved; it is put into effect where it is written.
   *
   * @throws NotFound if there is no such journey
   * @throws Refusal if it keeps it already
   */
  @Transactional
  public void take(long journey, MailRule rule, DayOfWeek day) {
    if (journeys.names().stream().noneMatch(one -> one.id() == journey)) {
      throw NotFound.of("journey", journey);
    }
    Optional<Journey> changed = rule.in(journeys.find(journey).journey(), day);
    journeys.become(
        journey,
        changed.orElseThrow(
            () ->
                new Refusal(
                    HttpStatus.CONFLICT,
                    "kept-already",
                    "As it is saved, the journey keeps such a rule already: it is only to be put into effect.",
                    null)));
  }
}
