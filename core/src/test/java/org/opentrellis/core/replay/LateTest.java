package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.crowd.History;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/**
 * What is told twice, in another order, late, or after nobody looked for days, over 2,000 random
 * journeys: it gives what the rules say.
 */
@Tag("thorough")
class LateTest {
  static LongStream seeds() {
    return LongStream.range(0, 20);
  }

  /** A sampled life, and what is told of it. */
  private record Life(
      DryRun run, int number, Person person, List<Turn> turns, List<Happening> history, long end) {
    static Life of(long seed) {
      DryRun run = DriversTest.dryRun(seed);
      int number = (int) (seed % 2);
      Diary sampled = new Diary();
      Person person = run.follow(number, sampled);
      List<Turn> turns = sampled.turns();
      return new Life(
          run,
          number,
          person,
          turns,
          History.of(run, number, person, turns),
          DriversTest.end(run, number));
    }

    Told told() {
      return new Told(History.beforehand(run, number), DriversTest.lots(run.world(), turns));
    }

    Lines lines() {
      return Lines.of(run.world(), turns);
    }
  }

  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void whatIsToldTwiceHappensOnce(long hundred) {
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      Life life = Life.of(seed);
      Told told = life.told();
      told.ofOneMoment =
          same -> {
            List<Happening> twice = new ArrayList<>(same);
            twice.addAll(same);
            return twice;
          };
      told.afterEach =
          () -> {
            for (Happening one : life.history) {
              if (one.at() <= told.replay.person().now()) {
                Replay.Noted again =
                    told.replay.takes(List.of(one), told.replay.person().now()).get(0);
                assertThat(again).isIn(Replay.Noted.TWICE, Replay.Noted.UNKNOWN);
              }
            }
          };
      told.asItHappens(life.history, life.end);
      assertThat(told.lines().byVisit()).as("seed %d", seed).isEqualTo(life.lines().byVisit());
    }
  }

  /** What happened at one moment may be told in any order. */
  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void theOrderOfOneMomentDoesNotMatter(long hundred) {
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      Life life = Life.of(seed);
      Told told = life.told();
      Random random = new Random(seed);
      told.ofOneMoment =
          same -> {
            List<Happening> shuffled = new ArrayList<>(same);
            Collections.shuffle(shuffled, random);
            return shuffled;
          };
      told.asItHappens(life.history, life.end);
      assertThat(told.lines().byVisit()).as("seed %d", seed).isEqualTo(life.lines().byVisit());
    }
  }

  /**
   * What becomes of messages is told up to two hours late and out of order, and nobody looks but at
   * some moments days apart: whatever is done is dated at a moment at which somebody looked, once
   * done stays done, goes out within the window and under the guard, and to nobody who is lost.
   */
  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void whoeverSleptDoesItNowAndWithinTheRules(long hundred) {
    int sent = 0;
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      Life life = Life.of(seed);
      Told told = life.told();
      Random random = new Random(seed);
      List<Happening> pending = new ArrayList<>(life.history);
      Collections.shuffle(pending, random);
      long now = pending.stream().mapToLong(Happening::at).min().orElse(0);
      List<Lines.Line> before = List.of();
      long lostSince = Person.NEVER;
      while (now < life.end) {
        now += 1 + (long) (random.nextDouble() * random.nextDouble() * 5 * 86_400);
        long present = now;
        List<Happening> ripe =
            pending.stream()
                .filter(one -> one.at() + 7_200 * random.nextDouble() <= present)
                .toList();
        List<Replay.Noted> noted = told.replay.takes(ripe, present);
        assertThat(noted).doesNotContain(Replay.Noted.TWICE);
        pending.removeAll(ripe);
        List<Lines.Line> all = List.copyOf(told.lines().inOrder());
        assertThat(all.subList(0, before.size())).as("seed %d", seed).isEqualTo(before);
        assertThat(all.subList(before.size(), all.size()))
            .as("seed %d at %d", seed, present)
            .allMatch(line -> line.at() == present);
        before = all;
        if (told.replay.person().goneAt() <= present) {
          lostSince = Math.min(lostSince, present);
        }
      }
      sent += checkSends(told.replay.person(), lostSince, seed);
    }
    assertThat(sent).isGreaterThan(50);
  }

  private static int checkSends(Person person, long lostSince, long seed) {
    List<Sent> all =
        person.visits().stream()
            .flatMap(
                visit ->
                    java.util.stream.IntStream.range(0, visit.sends()).mapToObj(visit::sentInOrder))
            .sorted(Comparator.comparing(Sent::at))
            .toList();
    for (Sent one : all) {
      Visit visit = one.visit();
      Program program = visit.program();
      long at = one.at();
      // At the very moment only by what that message, or a step at it, brought about.
      assertThat(at).as("lost, seed %d", seed).isLessThanOrEqualTo(lostSince);
      if (at == lostSince) {
        assertThat(person.goneAt()).as("lost, seed %d", seed).isGreaterThanOrEqualTo(at);
      }
      Optional<SendWindow> window = step(one).window().or(program.journey()::sendWindow);
      window.ifPresent(
          open ->
              assertThat(open.atOrAfter(at, visit.clock()))
                  .as("window, seed %d", seed)
                  .isEqualTo(at));
      Optional<FrequencyGuard> guard = program.journey().frequencyGuard();
      guard
          .filter(some -> some.countsTexts() || !one.text())
          .ifPresent(
              some ->
                  assertThat(
                          all.stream()
                              .limit(all.indexOf(one))
                              .filter(other -> some.countsTexts() || !other.text())
                              .filter(other -> other.at() > at - some.days() * 86_400L)
                              .filter(other -> other.at() < at || other.visit() == visit)
                              .count())
                      .as("guard, seed %d", seed)
                      .isLessThan(some.most()));
    }
    for (Sent one : all) {
      if (step(one).oncePerPerson()) {
        assertThat(all.stream().filter(other -> other.at() < one.at()).map(LateTest::message))
            .as("once, seed %d", seed)
            .doesNotContain(message(one));
      }
    }
    return all.size();
  }

  private static Step.Send step(Sent sent) {
    return sent.visit().program().sends().get(sent.send());
  }

  private static MessageId message(Sent sent) {
    return sent.visit().program().messages(sent.send()).get(sent.variant()).id();
  }
}
