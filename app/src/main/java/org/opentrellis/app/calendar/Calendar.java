package org.opentrellis.app.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.calendar.CalendarView.CalendarLane;
import org.opentrellis.app.calendar.CalendarView.CalendarSums;
import org.opentrellis.app.calendar.CalendarView.CrowdedDay;
import org.opentrellis.app.calendar.CalendarView.CrowdedPeople;
import org.opentrellis.app.calendar.CalendarView.EmailsMeet;
import org.opentrellis.app.calendar.CalendarView.FullWeek;
import org.opentrellis.app.calendar.CalendarView.LaneKind;
import org.opentrellis.app.calendar.CalendarView.MonthQuota;
import org.opentrellis.app.catalogue.Pressures;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.app.people.People;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.pressure.PressureWords;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;

/** Tells what goes out on some days, and what is too much. */
@Service
class Calendar {
  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMMM", Locale.ENGLISH);

  /** Fewer than so many are not spoken of. */
  static final double SOME = 0.5;

  private final DaysAhead ahead;
  private final RulesTried tried;
  private final Insiders insiders;
  private final People people;
  private final Account account;
  private final Pressures pressures;

  Calendar(
      DaysAhead ahead,
      RulesTried tried,
      Insiders insiders,
      People people,
      Account account,
      Pressures pressures) {
    this.ahead = ahead;
    this.tried = tried;
    this.insiders = insiders;
    this.people = people;
    this.account = account;
    this.pressures = pressures;
  }

  /**
   * What of the calendar is asked for.
   *
   * @param from the first day; null for Monday of this week, by the account's clock
   * @param who of whom alone it is told, as a sentence; empty for all
   * @param drafts journeys that are shown as if they were opened
   */
  record CalendarAsked(@Nullable LocalDate from, int days, String who, List<String> drafts) {}

  /**
   * @throws ProblemsFound if it is too many days, or a draft is asked for otherwise
   */
  CalendarView view(CalendarAsked asked) {
    DaysAhead.Wanted wanted = wanted(asked);
    LocalDate from = wanted.from();
    int count = wanted.count();
    DaysAhead.Ahead of = ahead.of(wanted);
    Outlook all = new Outlook(of.days());
    long[] gone = new long[count * 24];
    for (LaneAhead lane : of.lanes()) {
      all.add(lane.ahead());
      for (int hour = 0; hour < gone.length; hour++) {
        gone[hour] += lane.gone()[hour];
      }
    }
    Set<Integer> mended = Mends.fullest(of.crowding(), count);
    return new CalendarView(
        from,
        count,
        of.today(),
        of.days().zone().getId(),
        of.lanes().stream().sorted(ORDER).map(Calendar::lane).toList(),
        sums(all, gone),
        IntStream.range(0, count)
            .mapToObj(day -> crowded(of, day, mended))
            .flatMap(Optional::stream)
            .toList(),
        IntStream.range(0, of.crowding().weeks())
            .mapToObj(week -> week(of, week))
            .flatMap(Optional::stream)
            .toList(),
        quota(of, all),
        says(of, wanted.filter()));
  }

  private static int place(LaneKind kind) {
    return switch (kind) {
      case NEWSLETTER -> 0;
      case NEWS -> 1;
      case JOURNEY, DRAFT -> 2;
    };
  }

  /** Newsletters first, those that go first at the top; then journeys by their age. */
  private static final Comparator<LaneAhead> ORDER =
      Comparator.comparingInt((LaneAhead lane) -> place(lane.kind()))
          .thenComparing(
              lane ->
                  lane.movable()
                      .flatMap(one -> one.newsletter().going())
                      .map(going -> going.date().atTime(going.at()))
                      .orElse(LocalDateTime.MIN))
          .thenComparing(LaneAhead::id);

  private DaysAhead.Wanted wanted(CalendarAsked asked) {
    require(asked.days());
    LocalDate monday = ahead.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    return new DaysAhead.Wanted(
        asked.from() == null ? monday : asked.from(),
        asked.days(),
        asked.who().isBlank() ? Optional.empty() : Optional.of(people.condition(asked.who())),
        asked.drafts().stream().map(AsOpened::of).toList());
  }

  private static void require(int count) {
    if (count < 1 || count > Days.MOST) {
      throw ProblemsFound.badValue(
          "/days", "A calendar shows 1 to %d days, not %d.".formatted(Days.MOST, count));
    }
  }

  /** What rules of journeys would do for those who get too much on a day, tried on them. */
  List<RulesTried.TriedRule> rules(CalendarAsked asked, LocalDate date) {
    DaysAhead.Wanted wanted = wanted(asked);
    return tried.of(wanted, dayOf(wanted, date));
  }

  private static int dayOf(DaysAhead.Wanted wanted, LocalDate date) {
    int day = (int) ChronoUnit.DAYS.between(wanted.from(), date);
    if (day < 0 || day >= wanted.count()) {
      throw ProblemsFound.badValue("/day", date + " is not one of the days that are shown.");
    }
    return day;
  }

  /** A day hour by hour. */
  DayView day(CalendarAsked asked, LocalDate date) {
    DaysAhead.Wanted wanted = wanted(asked);
    DaysAhead.Ahead of = ahead.of(wanted);
    int day = dayOf(wanted, date);
    double[] sums = new double[24];
    List<DayView.DayLane> lanes = new ArrayList<>();
    for (LaneAhead lane : of.lanes().stream().sorted(ORDER).toList()) {
      List<Double> hours = new ArrayList<>();
      for (int hour = 0; hour < 24; hour++) {
        double emails = lane.ahead().at(day, hour) + lane.gone()[day * 24 + hour];
        hours.add(rounded(emails));
        sums[hour] += emails;
      }
      if (hours.stream().anyMatch(one -> one > 0)) {
        lanes.add(new DayView.DayLane(Math.abs(lane.id()), lane.kind(), lane.name(), hours));
      }
    }
    return new DayView(date, lanes, hoursSay(sums));
  }

  private List<String> hoursSay(double[] sums) {
    int fullest = 0;
    for (int hour = 1; hour < 24; hour++) {
      fullest = sums[hour] > sums[fullest] ? hour : fullest;
    }
    List<String> says = new ArrayList<>();
    says.add(
        sums[fullest] < SOME
            ? "Nothing goes out."
            : "%02d:00 to %02d:00 is the fullest hour: about %s."
                .formatted(fullest, fullest + 1, emails(sums[fullest])));
    return says;
  }

  private static CalendarLane lane(LaneAhead lane) {
    return new CalendarLane(
        Math.abs(lane.id()),
        lane.kind(),
        lane.name(),
        lane.note(),
        lane.sure(),
        lane.movable().flatMap(one -> one.newsletter().going()).map(Going::date).orElse(null),
        sums(lane.ahead(), lane.gone()));
  }

  private static CalendarSums sums(Outlook ahead, long[] gone) {
    List<Double> mean = new ArrayList<>();
    List<Double> low = new ArrayList<>();
    List<Double> high = new ArrayList<>();
    List<Long> sent = new ArrayList<>();
    for (int day = 0; day < ahead.days().count(); day++) {
      Outlook.Expected on = ahead.on(day);
      long so = 0;
      for (int hour = 0; hour < 24; hour++) {
        so += gone[day * 24 + hour];
      }
      mean.add(rounded(on.mean()));
      low.add(rounded(on.low()));
      high.add(rounded(on.high()));
      sent.add(so);
    }
    return new CalendarSums(mean, low, high, sent);
  }

  private static double rounded(double value) {
    return Math.round(value * 10) / 10.0;
  }

  private static CrowdedPeople people(Outlook.Expected of) {
    return new CrowdedPeople(rounded(of.mean()), rounded(of.low()), rounded(of.high()));
  }

  private static Optional<CrowdedDay> crowded(DaysAhead.Ahead of, int day, Set<Integer> mends) {
    Outlook.Expected people = of.crowding().on(day);
    if (people.mean() < SOME) {
      return Optional.empty();
    }
    List<EmailsMeet> meetings =
        of.crowding().meetings(day).stream()
            .filter(one -> one.people() >= SOME)
            .map(
                one ->
                    new EmailsMeet(
                        of.lanes().get(one.one()).name(),
                        of.lanes().get(one.other()).name(),
                        rounded(one.people())))
            .toList();
    return Optional.of(
        new CrowdedDay(
            of.days().first().plusDays(day),
            people(people),
            meetings,
            mends.contains(day) ? Mends.of(of, day).orElse(null) : null));
  }

  private Optional<FullWeek> week(DaysAhead.Ahead of, int week) {
    Outlook.Expected people = of.crowding().inWeek(week);
    LocalDate monday =
        of.days().first().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).plusWeeks(week);
    return people.mean() < SOME
        ? Optional.empty()
        : Optional.of(new FullWeek(monday, account.limits().emailsPerWeek(), people(people)));
  }

  private List<MonthQuota> quota(DaysAhead.Ahead of, Outlook all) {
    Long limit = account.limits().monthlyQuota();
    if (limit == null) {
      return List.of();
    }
    ZoneId zone = of.days().zone();
    LocalDate first = of.days().first();
    LocalDate last = first.plusDays(of.days().count() - 1L);
    return Stream.iterate(
            YearMonth.from(first),
            month -> !month.isAfter(YearMonth.from(last)),
            month -> month.plusMonths(1))
        .filter(month -> !month.isBefore(YearMonth.from(of.today())))
        .map(
            month -> {
              LocalDate begins = month.atDay(1);
              LocalDate ends = month.plusMonths(1).atDay(1);
              long gone =
                  insiders.goneIn(
                      begins.atStartOfDay(zone).toEpochSecond(),
                      ends.atStartOfDay(zone).toEpochSecond());
              int from = (int) Math.max(0, ChronoUnit.DAYS.between(first, begins));
              int to = (int) Math.min(of.days().count(), ChronoUnit.DAYS.between(first, ends));
              Outlook.Expected more = all.between(from, Math.max(from, to));
              boolean whole =
                  !last.plusDays(1).isBefore(ends) && !first.isAfter(max(begins, of.today()));
              return new MonthQuota(
                  MONTH.format(begins),
                  limit,
                  gone,
                  rounded(more.mean()),
                  rounded(more.low()),
                  rounded(more.high()),
                  whole,
                  quotaSays(MONTH.format(begins), limit, gone, more, whole));
            })
        .toList();
  }

  private static LocalDate max(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  private static String quotaSays(
      String month, long limit, long gone, Outlook.Expected more, boolean whole) {
    long sum = Math.round(gone + more.mean());
    String so =
        String.format(
            Locale.ROOT,
            "%s: %,d of %,d%s.",
            month,
            sum,
            limit,
            whole ? "" : ", as far as it is shown");
    if (gone + more.low() > limit) {
      return so + " The quota does not hold: what is too much waits for the next month.";
    }
    return gone + more.high() > limit ? so + " The quota may not hold." : so + " The quota holds.";
  }

  private List<String> says(DaysAhead.Ahead of, Optional<Condition> filter) {
    List<String> says = new ArrayList<>();
    account
        .quietHours()
        .ifPresent(
            quiet ->
                says.add(
                    "Nobody gets mail between %s and %s of their time."
                        .formatted(quiet.from(), quiet.to())));
    pressures.now().pressure().map(PressureWords::says).ifPresent(says::add);
    says.add(
        filter.isEmpty()
            ? "Those who are inside go on as they stand (%s), others come as in the last %d days."
                .formatted(persons(of.people()), Insiders.LOOKED_BACK)
            : "Of those who are meant, %s go on as they stand; who is still to come is left out."
                .formatted(persons(of.people())));
    return says;
  }

  static String persons(double people) {
    long count = Math.round(people);
    return count == 1 ? "1 person" : String.format(Locale.ROOT, "%,d people", count);
  }

  private static String emails(double emails) {
    long count = Math.round(emails);
    return count == 1 ? "1 email" : String.format(Locale.ROOT, "%,d emails", count);
  }
}
