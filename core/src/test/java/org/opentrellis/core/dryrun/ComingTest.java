package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.behaviour;
import static org.opentrellis.core.testing.Steps.finish;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.waits;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.problem.Refused;

/**
 * When people of a cohort come to a journey, against the calendar and closed forms. Seeds are
 * fixed; bounds fail a sound run once in 100,000.
 */
class ComingTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final LocalDate FIRST = LocalDate.parse("2027-03-01");
  private static final double Z = 4.417173;
  private static final FieldName RENEWAL = new FieldName("renewal");
  private static final AudienceGroup PLAIN = group(new Keenness(0.4, 0.2), 0);

  private static Behaviour people(AudienceGroup group) {
    return behaviour(group, 0);
  }

  private static AudienceGroup withDates(FieldGuess dates) {
    return PLAIN.edit().fields(Map.of(RENEWAL, dates)).comesAgain(Assumed.typical(0.9)).done();
  }

  private static FieldGuess on(String date) {
    return new FieldGuess.OneOf(
        List.of(new FieldGuess.Choice(new Operand.Date(LocalDate.parse(date)), 1)));
  }

  private static Journey journey(Trigger trigger, Step... body) {
    return org.opentrellis.core.testing.Steps.journey(Optional.empty(), body)
        .edit()
        .triggers(List.of(trigger))
        .reEntry(new ReEntry.EveryTime())
        .done();
  }

  private static Trigger renewal(int days, boolean everyYear) {
    return new Trigger.DateComes(RENEWAL, days, LocalTime.of(9, 0), everyYear, false);
  }

  private static CohortSettings settings(int people, int horizon, ArrivalPlan plan) {
    return new CohortSettings(people, 5, START, horizon, plan, 0);
  }

  /** The local times at which some people enter. */
  private static List<LocalDateTime> entries(Journey journey, AudienceGroup group, int horizon) {
    return entries(journey, group, settings(200, horizon, new ArrivalPlan.Evenly(7)));
  }

  private static List<LocalDateTime> entries(
      Journey journey, AudienceGroup group, CohortSettings settings) {
    DryRun run = new DryRun(journey, MESSAGES, people(group), settings);
    List<LocalDateTime> entries = new ArrayList<>();
    Witness notes =
        new Witness() {
          @Override
          public void begins(Visit visit) {
            entries.add(
                LocalDateTime.ofInstant(Instant.ofEpochSecond(visit.entryAt()), group.zone()));
          }
        };
    IntStream.range(0, settings.people()).forEach(number -> run.follow(number, notes));
    return entries;
  }

  /** A date that is over brings nobody in; nor does one that somebody does not have. */
  @Test
  void aDateThatIsOverBringsNobodyIn() {
    Journey journey = journey(renewal(0, false), send("a"));
    assertThat(entries(journey, withDates(on("1998-05-04")), 30)).isEmpty();
    assertThat(entries(journey, withDates(on("2027-02-28")), 30)).isEmpty();
    FieldGuess nothing =
        new FieldGuess.OneOf(
            List.of(new FieldGuess.Choice(new Operand.Date(LocalDate.parse("2027-03-20")), 0)));
    assertThat(entries(journey, withDates(nothing), 30)).isEmpty();
    Journey fixed = journey(new Trigger.OnDate(FIRST.minusDays(1), LocalTime.NOON), send("a"));
    assertThat(entries(fixed, PLAIN, 30)).isEmpty();
  }

  /** A date lets people in on its day and at its time, however often their group comes again. */
  @Test
  void aDateLetsPeopleInOnceAtItsTime() {
    Journey journey = journey(renewal(-3, false), send("a"));
    assertThat(entries(journey, withDates(on("2027-03-20")), 300))
        .hasSize(200)
        .containsOnly(LocalDateTime.parse("2027-03-17T09:00"));
    AudienceGroup again = PLAIN.edit().comesAgain(Assumed.typical(0.9)).done();
    Journey fixed = journey(new Trigger.OnDate(FIRST, LocalTime.MIDNIGHT), send("a"));
    assertThat(entries(fixed, again, 300)).hasSize(200).containsOnly(FIRST.atStartOfDay());
  }

  /** Every year means each year: 29 February, too, and at no other time. */
  @Test
  void everyYearMeansEachYear() {
    Journey journey = journey(renewal(0, true), finish("f"));
    assertThat(entries(journey, withDates(on("2020-02-29")), 730))
        .hasSize(600)
        .containsOnly(
            LocalDateTime.parse("2028-02-29T09:00"),
            LocalDateTime.parse("2029-02-28T09:00"),
            LocalDateTime.parse("2030-02-28T09:00"));
    assertThat(entries(journey, withDates(on("1990-06-01")), 400)).hasSize(400);
    Journey once = journey.edit().reEntry(new ReEntry.Never()).done();
    assertThat(entries(once, withDates(on("1990-06-01")), 400)).hasSize(200);
  }

  /** A wait around the date that brought somebody in means that one, and may be past. */
  @Test
  void aWaitMeansTheDateThatBroughtSomebodyIn() {
    Step after =
        waits(
            "w",
            new WaitRule.AroundDate(RENEWAL, 5, LocalTime.NOON, true, false, new IfPast.GoOn()));
    Step before =
        waits(
            "late",
            new WaitRule.AroundDate(
                RENEWAL, -20, LocalTime.NOON, true, false, new IfPast.SkipTo(id("end"))));
    Journey journey =
        journey(renewal(-10, true), after, send("a"), before, send("b"), finish("end"));
    JourneyTally tally =
        new DryRun(
                journey,
                MESSAGES,
                people(withDates(on("1990-06-01"))),
                settings(50, 300, new ArrivalPlan.Evenly(7)))
            .run(1)
            .journey();
    assertThat(tally.sends().get(0).sent()).isEqualTo(50);
    // Ten days before to five days after, three hours later in the day.
    assertThat(tally.steps().get(1).sinceEntry().quantile(1))
        .isCloseTo((15 * 24 + 3) * 3600L, within((15 * 24 + 3) * 3600L / 128));
    assertThat(tally.sends().get(1).sent()).isZero();
  }

  /** Elsewhere it means the next one; today's counts, and is past if its time is over. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aWaitElsewhereMeansTheNextDateAndKeepsToWhatToDoIfItIsPast(boolean over) {
    LocalTime at = over ? LocalTime.of(8, 0) : LocalTime.of(10, 0);
    Step around =
        waits("w", new WaitRule.AroundDate(RENEWAL, 0, at, true, false, new IfPast.End()));
    Journey journey = journey(new Trigger.OnDate(FIRST, LocalTime.of(9, 0)), around, send("a"));
    CohortSettings settings = settings(20, 300, new ArrivalPlan.Evenly(7));
    for (String date : List.of("1990-03-01", "1990-03-02")) {
      long sent =
          new DryRun(journey, MESSAGES, people(withDates(on(date))), settings)
              .run(1)
              .journey()
              .sends()
              .get(0)
              .sent();
      assertThat(sent).isEqualTo(over && date.endsWith("01") ? 0 : 20);
    }
  }

  /**
   * Each cart comes back by itself with its own chance, the second as the first: of carts that were
   * not bought within the trigger's minutes, r e / (1 - r + r e) with e = exp(-minutes / mean).
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 60, 600})
  void everyCartOfAPersonComesBackByItself(int minutes) {
    double chance = 0.3;
    double mean = 1;
    AudienceGroup group =
        PLAIN
            .edit()
            .returnsToCart(Assumed.typical(chance))
            .returnMeanHours(Assumed.typical(mean))
            .comesAgain(Assumed.typical(0.3))
            .done();
    Journey journey =
        journey(new Trigger.LeavesCart(minutes), pause("w", 20, TimeUnit.DAYS))
            .edit()
            .goal(Optional.of(Goal.bought(1, true)))
            .done();
    CohortSettings settings = settings(20_000, 100, new ArrivalPlan.Evenly(7));
    JourneyTally tally = new DryRun(journey, MESSAGES, people(group), settings).run(2).journey();
    assertThat(tally.entered()).isGreaterThan(40_000);
    double later = chance * Math.exp(-minutes / 60.0 / mean);
    double expected = later / (1 - chance + later);
    double error = Math.sqrt(expected * (1 - expected) / tally.entered());
    double share = tally.goalMet() / (double) tally.entered();
    // What is bought of a second cart within the goal's day counts for the first one, too.
    double secondWithinADay = chance * -Math.log1p(-0.3) / 30;
    assertThat(share).isCloseTo(expected, within(Z * error + secondWithinADay));
  }

  /** People come on the days named, in their own zone, and nobody before the first midnight. */
  @ParameterizedTest
  @ValueSource(strings = {"Pacific/Auckland", "America/Los_Angeles", "Asia/Kolkata", "UTC"})
  void arrivalDaysAreDaysOfEachPersonsOwnZone(String zone) {
    AudienceGroup group = PLAIN.edit().zone(ZoneId.of(zone)).done();
    Journey journey = org.opentrellis.core.testing.Steps.journey(Optional.empty(), send("a"));
    ArrivalPlan dates =
        new ArrivalPlan.OnDates(
            List.of(
                new ArrivalPlan.DatedShare(FIRST, 1),
                new ArrivalPlan.DatedShare(FIRST.plusDays(9), 3)));
    List<LocalDateTime> named = entries(journey, group, settings(400, 30, dates));
    assertThat(named).hasSize(400);
    assertThat(named.stream().map(LocalDateTime::toLocalDate))
        .containsOnly(FIRST, FIRST.plusDays(9));
    assertThat(named.stream().map(LocalDateTime::getHour).distinct()).hasSizeGreaterThan(20);
    AudienceGroup early = group.edit().arriveFromHour(0).arriveToHour(2).done();
    for (AudienceGroup some : List.of(group, early)) {
      List<LocalDateTime> even = entries(journey, some, 30);
      assertThat(even).allMatch(at -> !at.toLocalDate().isBefore(FIRST));
      assertThat(even.stream().map(LocalDateTime::toLocalDate).distinct()).hasSize(7);
    }
  }

  /** The first people of a run are the same, and come at the same times, in a larger one. */
  @Test
  void theFirstPeopleAreTheSameInALargerRun() {
    Journey journey = org.opentrellis.core.testing.Steps.journey(Optional.empty(), send("a"));
    ArrivalPlan plan = new ArrivalPlan.Daily(40, List.of(1.0, 1.0, 2.0, 1.0, 1.0, 0.5, 0.5));
    List<LocalDateTime> few = entries(journey, PLAIN, settings(100, 30, plan));
    assertThat(entries(journey, PLAIN, settings(1_000, 30, plan)).subList(0, 100)).isEqualTo(few);
  }

  /** Only members have a date until which they are members; the rest of the record is as it was. */
  @Test
  void aFieldMayBeTiedToAnother() {
    FieldName member = new FieldName("member");
    FieldGuess dates = new FieldGuess.DateBetween(10, 20);
    FieldGuess some =
        new FieldGuess.OneOf(List.of(new FieldGuess.Choice(new Operand.Words("yes"), 0.4)));
    AudienceGroup tied =
        PLAIN
            .edit()
            .fields(Map.of(member, some, RENEWAL, new FieldGuess.WithField(member, dates)))
            .done();
    AudienceGroup free = PLAIN.edit().fields(Map.of(RENEWAL, dates)).done();
    Journey journey = journey(renewal(0, false), send("a"));
    assertThat(entries(journey, tied, 30)).hasSizeBetween(50, 110);
    assertThat(entries(journey, free, 30)).containsAll(entries(journey, tied, 30)).hasSize(200);
    assertThatThrownBy(
            () ->
                PLAIN
                    .edit()
                    .fields(Map.of(RENEWAL, new FieldGuess.WithField(member, dates)))
                    .done())
        .isInstanceOf(Refused.class)
        .hasMessageContaining("tied to member");
  }
}
