package org.opentrellis.core.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FrequencyGuard.Then;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.reading.Plan;
import org.opentrellis.core.replay.Replay;
import org.opentrellis.core.testing.RandomJourneys;

/** What the account finds enough for one person, from all journeys together. */
class PressureTest {
  private static final ZoneClock CLOCK =
      ZoneClock.around(ZoneId.of("UTC"), Instant.parse("2027-03-01T00:00:00Z"), 60);
  private static final long START = Instant.parse("2027-03-01T08:00:00Z").getEpochSecond();
  private static final long HOUR = 3600;
  private static final long DAY = 24 * HOUR;

  /** Counts what comes to emails, and what becomes of it. */
  private static final class Counting implements Witness {
    final Map<String, Integer> sentAt = new TreeMap<>();
    final List<String> skipped = new ArrayList<>();
    private final Set<String> got = new HashSet<>();
    long came;
    long sent;
    long skips;
    long left;
    long waits;
    long held;

    private static String key(int step, Visit visit) {
      return visit.program().name() + " " + visit.number() + " " + step;
    }

    private static boolean isEmail(int step, Visit visit) {
      return step >= 0 && visit.program().steps().get(step) instanceof Step.SendEmail;
    }

    @Override
    public void entered(int step, Visit visit) {
      came += isEmail(step, visit) ? 1 : 0;
    }

    @Override
    public void sent(int step, Sent message) {
      Visit visit = message.visit();
      if (isEmail(step, visit)) {
        sent++;
        got.add(key(step, visit));
        sentAt.put(visit.program().name().value(), (int) ((visit.now() - START) / HOUR));
      }
    }

    @Override
    public void skipped(int step, SkipReason reason, Visit visit) {
      if (isEmail(step, visit)) {
        skips++;
        skipped.add(visit.program().name() + " " + reason);
      }
    }

    @Override
    public void held(int step, long seconds, Visit visit) {
      held += isEmail(step, visit) ? 1 : 0;
    }

    @Override
    public void left(int step, LeaveReason reason, Visit visit) {
      left += isEmail(step, visit) && !got.contains(key(step, visit)) ? 1 : 0;
    }

    @Override
    public void waiting(int step, Visit visit) {
      waits += isEmail(step, visit) ? 1 : 0;
    }
  }

  static LongStream seeds() {
    return LongStream.range(0, 40);
  }

  /** Asked = sent + skipped + still waiting + left while waiting, and never too many in a week. */
  @ParameterizedTest(name = "worlds from {0}0 on")
  @MethodSource("seeds")
  void nothingIsLostAndNobodyGetsTooMuch(long ten) {
    long held = 0;
    long skips = 0;
    for (long seed = 10 * ten; seed < 10 * ten + 10; seed++) {
      for (Then then : Then.values()) {
        int most = 1 + (int) (seed % 3);
        Pressure pressure = new Pressure(most, List.of(Purpose.CART, Purpose.WELCOME), then);
        Catalogue catalogue = RandomJourneys.CATALOGUE.under(Optional.of(pressure));
        Journey one = RandomJourneys.journey(seed, 14);
        Journey other = RandomJourneys.journey(seed + 5_000, 14).edit().name("Another").done();
        DryRun run =
            new DryRun(
                List.of(one, other),
                catalogue,
                List.of(RandomJourneys.behaviour(seed), RandomJourneys.behaviour(seed)),
                new CohortSettings(
                    4,
                    seed,
                    Instant.parse("2027-03-01T00:00:00Z"),
                    35,
                    new ArrivalPlan.Evenly(3),
                    0));
        for (int number = 0; number < 4; number++) {
          Counting counting = new Counting();
          Person person = run.follow(number, counting);
          assertThat(counting.came)
              .as("seed %d, %s", seed, then)
              .isEqualTo(counting.sent + counting.skips + counting.waits + counting.left);
          assertThat(person.mostEmailsInAWeek())
              .as("seed %d, %s", seed, then)
              .isLessThanOrEqualTo(most);
          held += counting.held;
          skips +=
              counting.skipped.stream()
                  .filter(why -> why.endsWith(SkipReason.NO_ROOM.name()))
                  .count();
        }
      }
    }
    assertThat(held + skips).as("it is felt").isPositive();
  }

  private static Journey plan(String text) {
    return Plan.read(text).journey();
  }

  private static Counting live(Pressure pressure, long until, Journey... journeys) {
    World world =
        World.compile(List.of(journeys), Catalogue.EMPTY, List.of()).under(Optional.of(pressure));
    Counting counting = new Counting();
    Replay replay =
        new Replay(world.newPerson(CLOCK), (step, ways, visit) -> 0, (message, at) -> {}, counting);
    replay.takes(new Happening.Joined(START, new ListName("All")));
    replay.passes(until);
    return counting;
  }

  private static final String LETTER =
      "newsletter: Letter\nStarts when someone joins list \"All\"\nWait 1 hour\nSend email \"Letter\"";
  private static final String HELLO =
      "welcome: Hello\nStarts when someone joins list \"All\"\nWait 5 hours\nSend email \"Hello\"";

  @Test
  void whatIsTooMuchWaitsUntilAWeekHasPassed() {
    Pressure one = new Pressure(1, List.of(), Then.HOLD);
    Counting counting = live(one, START + 10 * DAY, plan(LETTER), plan(HELLO));
    assertThat(counting.sentAt).containsEntry("Hello", 5).containsEntry("Letter", 5 + 7 * 24);
    assertThat(counting.held).isEqualTo(1);
  }

  @Test
  void roomIsKeptForWhatGoesFirstAndTheRestIsLeftOut() {
    Pressure welcomeFirst =
        new Pressure(1, List.of(Purpose.WELCOME, Purpose.NEWSLETTER), Then.SKIP);
    Counting counting = live(welcomeFirst, START + 10 * DAY, plan(LETTER), plan(HELLO));
    assertThat(counting.sentAt).containsOnlyKeys("Hello");
    assertThat(counting.skipped).containsExactly("Letter NO_ROOM");
    Pressure newsFirst = new Pressure(1, List.of(Purpose.NEWSLETTER, Purpose.WELCOME), Then.SKIP);
    Counting other = live(newsFirst, START + 10 * DAY, plan(LETTER), plan(HELLO));
    assertThat(other.sentAt).containsOnlyKeys("Letter");
    assertThat(other.skipped).containsExactly("Hello NO_ROOM");
  }

  /** Nothing further away than a day has room kept for it. */
  @Test
  void whatComesLaterGetsNoRoomKept() {
    Pressure welcomeFirst = new Pressure(1, List.of(Purpose.WELCOME), Then.SKIP);
    Journey late =
        plan(
            "welcome: Hello\nStarts when someone joins list \"All\"\nWait 3 days\nSend email \"Hello\"");
    Counting counting = live(welcomeFirst, START + 10 * DAY, plan(LETTER), late);
    assertThat(counting.sentAt).containsOnlyKeys("Letter");
  }

  @Test
  void atOneInstantThoseGoFirstThatStandFurtherUp() {
    String at = "\nStarts when someone joins list \"All\"\nWait 1 hour\nSend email \"One\"";
    Journey news = plan("newsletter: News" + at);
    Journey cart = plan("cart: Cart" + at);
    Pressure two = new Pressure(1, List.of(Purpose.CART), Then.HOLD);
    Counting counting = live(two, START + 20 * DAY, news, cart);
    assertThat(counting.sentAt).containsEntry("Cart", 1).containsEntry("News", 1 + 7 * 24);
  }

  @Test
  void textsAreNotCounted() {
    Journey texts =
        plan(
            "welcome: Texts\nStarts when someone joins list \"All\"\nSend text \"A\"\nSend text \"B\"\nSend email \"C\"");
    Counting counting = live(new Pressure(1, List.of(), Then.SKIP), START + DAY, texts);
    assertThat(counting.sentAt).containsOnlyKeys("Texts");
    assertThat(counting.skipped).isEmpty();
  }

  @Test
  void whoeverWaitsLooksAgainWhenThereIsMoreRoom() {
    World world =
        World.compile(List.of(plan(LETTER), plan(HELLO)), Catalogue.EMPTY, List.of())
            .under(Optional.of(new Pressure(1, List.of(), Then.HOLD)));
    Counting counting = new Counting();
    Replay replay =
        new Replay(world.newPerson(CLOCK), (step, ways, visit) -> 0, (message, at) -> {}, counting);
    replay.takes(new Happening.Joined(START, new ListName("All")));
    replay.passes(START + 2 * DAY);
    assertThat(counting.sent).isEqualTo(1);
    replay.goesOnIn(world.under(Optional.empty()), Optional.empty(), START + 2 * DAY);
    replay.looksAgain();
    replay.advance(START + 2 * DAY);
    assertThat(counting.sent).isEqualTo(2);
  }
}
