package org.opentrellis.core.ahead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.id;
import static org.opentrellis.core.testing.Steps.pause;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.GoingOn;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.testing.Steps;
import org.opentrellis.core.testing.ThreeEmails;
import org.opentrellis.core.walk.Turn;

/** What is ahead is what the dry run says of those who come, and of those who are on their way. */
class AheadTest {
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");
  private static final LocalDate FIRST = LocalDate.of(2027, 3, 1);
  private static final long DAY = 24 * 3600;

  /** Who opens the first gets a second, and so on: what comes depends on what people did. */
  private static final Journey ASKS =
      Steps.journey(
          Step.SendEmail.of(id("a"), new MessageId("one")),
          pause("w", 3, TimeUnit.DAYS),
          Steps.branch(
              "b",
              Steps.opened("a"),
              null,
              List.of(Step.SendEmail.of(id("b1"), new MessageId("two"))),
              List.of()),
          pause("x", 2, TimeUnit.DAYS),
          Step.SendEmail.of(id("c"), new MessageId("three")));

  private static Behaviour behaviour() {
    return TypicalBehaviour.in(BERLIN)
        .edit()
        .groups(List.of(TypicalBehaviour.group("All", 1, new Keenness(0.4, 0.22), BERLIN)))
        .done();
  }

  private static DryRun run(Journey journey, int people) {
    return new DryRun(
        journey, ThreeEmails.MESSAGES, behaviour(), CohortSettings.of(people, 5, START, 30));
  }

  /** Whoever comes stands for as many as are expected: sums are the dry run's, scaled. */
  @Test
  void ofNewcomersTheSumsAreTheDryRuns() {
    DryRun run = run(ASKS, 500);
    Tallies tallies = run.run(1);
    Days days = new Days(FIRST.minusDays(2), 20, BERLIN);
    Outlook outlook = OfNewcomers.of(run, tallies, 1_500, false, days);
    for (int day = 0; day < 20; day++) {
      long sent = day < 2 || day - 2 >= tallies.emails().days() ? 0 : tallies.emails().on(day - 2);
      assertThat(outlook.on(day).mean()).as("day %d", day).isCloseTo(3.0 * sent, within(1e-9));
      assertThat(outlook.on(day).low()).isLessThanOrEqualTo(outlook.on(day).mean());
    }
    assertThat(outlook.between(0, 20).mean())
        .isCloseTo(
            IntStream.range(0, 20).mapToDouble(day -> outlook.on(day).mean()).sum(), within(1e-6));
  }

  /** Somebody as they stand at a moment, with all that was known of them by then. */
  private static PersonState standing(DryRun run, int number, long until) {
    Rehearsal rehearsal = Rehearsal.of(run, number);
    Program program = run.world().programs().getFirst();
    Editions editions =
        Editions.none(run.world().products())
            .and(new Edition.Opened(program.journey(), 1, ThreeEmails.MESSAGES, false));
    LiveTurn turns = new LiveTurn(editions, clocks());
    Life life = new Life(editions.newest(), rehearsal.begun());
    long next =
        life.standing().coming().stream()
            .mapToLong(PersonState.Coming::at)
            .min()
            .orElse(Person.NEVER);
    List<Happening> pending = new ArrayList<>(rehearsal.acts());
    while (true) {
      long act = pending.isEmpty() ? Person.NEVER : pending.getFirst().at();
      long now = Math.min(next, act);
      if (now > until) {
        return life.standing();
      }
      List<Happening> known = pending.stream().filter(one -> one.at() == now).toList();
      pending.removeAll(known);
      LiveTurn.Done done =
          turns.take(
              life,
              editions.newest(),
              known,
              List.of(),
              now,
              (step, ways, visit) -> 0,
              (message, at) ->
                  known.stream()
                      .filter(Happening.OfMessage.class::isInstance)
                      .map(Happening.OfMessage.class::cast)
                      .filter(one -> one.message().equals(message))
                      .toList());
      life = done.life();
      next = done.nextAt();
    }
  }

  private static Function<ZoneId, ZoneClock> clocks() {
    ZoneClock clock = ZoneClock.around(BERLIN, START.minusSeconds(10 * DAY), 100);
    return clock::in;
  }

  private static boolean isInside(PersonState state) {
    return state.visits().stream().anyMatch(visit -> visit.step().isPresent());
  }

  /**
   * People whom a dry run has taken half way go on from there: as many emails go out to them, on
   * each day, as the dry run sends them afterwards, within what chance leaves open.
   */
  @Test
  @Tag("thorough")
  void whoIsInsideGoesOnAsTheDryRunDoes() {
    int people = 1_500;
    DryRun run = run(ASKS, people);
    long present = START.getEpochSecond() + 5 * DAY + DAY / 2;
    Days days = new Days(FIRST.plusDays(5), 12, BERLIN);
    double[] happened = new double[12];
    List<OfThoseInside.Insider> inside = new ArrayList<>();
    for (int n = 0; n < people; n++) {
      PersonState state = standing(run, n, present);
      if (!isInside(state)) {
        continue;
      }
      inside.add(new OfThoseInside.Insider(n, 1, state, Map.of()));
      for (Turn turn : Rehearsal.of(run, n).turns()) {
        int hour = days.hourOf(turn.at());
        if (turn.kind() == Turn.Kind.SENT && turn.at() > present && hour >= 0) {
          happened[hour / 24]++;
        }
      }
    }
    assertThat(inside).hasSizeGreaterThan(600);
    GoingOn going =
        new GoingOn(
            List.of(ASKS),
            ThreeEmails.MESSAGES,
            List.of(behaviour()),
            clocks(),
            Instant.ofEpochSecond(present),
            12);
    List<Outlook> outlooks = List.of(new Outlook(days));
    OfThoseInside.of(inside, 20, going, outlooks);
    double all = 0;
    for (int day = 0; day < 12; day++) {
      Outlook.Expected expected = outlooks.getFirst().on(day);
      // 95% bands, widened to four standard errors for twelve days at once.
      double off = 4 / 1.96 * Math.max(1, expected.high() - expected.mean());
      assertThat(happened[day])
          .as("day %d: %s", day, expected)
          .isBetween(expected.mean() - off, expected.mean() + off);
      all += happened[day];
    }
    assertThat(all).isGreaterThan(800);
  }

  @Test
  void bandsHoldWhatComesInNineteenOfTwenty() {
    Days days = new Days(FIRST, 20, BERLIN);
    Tallies some = run(ASKS, 400).run(1);
    Outlook outlook = OfNewcomers.of(run(ASKS, 400), some, 400, true, days);
    int held = 0;
    int looked = 0;
    for (int seed = 100; seed < 130; seed++) {
      Tallies other =
          new DryRun(
                  ASKS, ThreeEmails.MESSAGES, behaviour(), CohortSettings.of(400, seed, START, 30))
              .run(1);
      for (int day = 0; day < 12; day++) {
        Outlook.Expected expected = outlook.on(day);
        double sent = day < other.emails().days() ? other.emails().on(day) : 0;
        held += sent >= expected.low() && sent <= expected.high() ? 1 : 0;
        looked++;
      }
    }
    // As many come each time, on days that are drawn. Three standard errors below 95%.
    assertThat((double) held / looked).isGreaterThan(0.95 - 3 * Math.sqrt(0.95 * 0.05 / 30));
  }

  @Test
  void whatFallsIntoTheQuietHoursWaitsForTheirEnd() {
    Days days = new Days(FIRST, 2, BERLIN);
    Outlook outlook = new Outlook(days);
    outlook.expect(22, 10);
    outlook.expect(24 + 3, 5);
    outlook.expect(12, 2);
    outlook.expect(24 + 23, 1);
    outlook.holdOver(new QuietHours(LocalTime.of(21, 0), LocalTime.of(7, 0)));
    assertThat(outlook.at(0, 22)).isZero();
    assertThat(outlook.at(1, 7)).isEqualTo(15);
    assertThat(outlook.on(0).mean()).isEqualTo(2);
    assertThat(outlook.on(1).mean()).as("the last goes out after what is shown").isEqualTo(15);
  }

  @Test
  void anHourIsOfTheDaysOwnClock() {
    Days days = new Days(LocalDate.of(2027, 3, 28), 2, BERLIN);
    long begins = Instant.parse("2027-03-27T23:00:00Z").getEpochSecond();
    assertThat(days.begins()).isEqualTo(begins);
    assertThat(days.hourOf(begins)).isZero();
    assertThat(days.hourOf(begins - 1)).isEqualTo(-1);
    // Clocks go from 2 to 3.
    assertThat(days.hourOf(begins + 2 * 3600)).isEqualTo(3);
    assertThat(days.hourOf(begins + 23 * 3600)).isEqualTo(24);
    assertThat(days.hourOf(begins + 47 * 3600)).isEqualTo(-1);
  }
}
