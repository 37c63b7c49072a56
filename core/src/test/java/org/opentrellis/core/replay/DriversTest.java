package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.crowd.History;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.walk.Choices;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Reply;
import org.opentrellis.core.walk.Turn;
import org.opentrellis.core.walk.Walk;

/**
 * One meaning: the dry run, which knows what people will do as soon as a message is sent, the walk,
 * which is told so, and the replay, which learns of each thing when it happens, go the same way,
 * turn by turn. 2,000 random journeys that use the whole language, every third with a second
 * journey beside it, two people each.
 */
class DriversTest {
  private static final Instant START = Instant.parse("2027-03-22T00:00:00Z");
  private static final int HORIZON = 40;

  static LongStream seeds() {
    return LongStream.range(0, 20);
  }

  static DryRun dryRun(long seed) {
    Journey journey = RandomJourneys.journey(seed, 1 + (int) (seed % 25));
    Behaviour behaviour = RandomJourneys.behaviour(seed);
    CohortSettings cohort = CohortSettings.of(2, seed, START, HORIZON);
    if (seed % 3 != 0) {
      return new DryRun(journey, RandomJourneys.catalogue(seed), behaviour, cohort);
    }
    Journey other = RandomJourneys.journey(seed + 10_000, 12).edit().name("Another").done();
    return new DryRun(
        List.of(journey, other),
        RandomJourneys.catalogue(seed),
        List.of(behaviour, behaviour),
        cohort);
  }

  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void allThreeGoTheSameWay(long hundred) {
    int turns = 0;
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      for (int number = 0; number < 2; number++) {
        turns += goTheSameWay(dryRun(seed), number, seed);
      }
    }
    assertThat(turns).isGreaterThan(2_000);
  }

  private static int goTheSameWay(DryRun run, int number, long seed) {
    Diary sampled = new Diary();
    Person person = run.follow(number, sampled);
    long end = sampled.turns().isEmpty() ? 0 : end(run, number);

    Person walker = run.newcomer(number, true);
    Walk walk = new Walk(walker, new AsBefore(run, person, sampled.turns()));
    walk.goOn(end);
    walk.close();
    assertThat(walk.diary().turns()).as("walk, seed %d", seed).isEqualTo(sampled.turns());
    assertThat(goals(walker, end)).as("walk's goals, seed %d", seed).isEqualTo(goals(person, end));

    Told told = new Told(History.beforehand(run, number), lots(run.world(), sampled.turns()));
    told.asItHappens(History.of(run, number, person, sampled.turns()), end);
    assertThat(told.lines().byVisit())
        .as("replay, seed %d", seed)
        .isEqualTo(Lines.of(run.world(), sampled.turns()).byVisit());
    assertThat(goals(told.replay.person(), end))
        .as("replay's goals, seed %d", seed)
        .isEqualTo(goals(person, end));
    return sampled.turns().size();
  }

  /** When each visit met each goal of its journey, by visit. */
  static Map<String, List<Long>> goals(Person person, long end) {
    Map<String, List<Long>> met = new TreeMap<>();
    for (Visit visit : person.visits()) {
      List<Long> all = new ArrayList<>(List.of(visit.goalMetAt(end)));
      for (int n = 0; n < visit.program().journey().secondaryGoals().size(); n++) {
        all.add(visit.secondaryGoalMetAt(n, end));
      }
      met.put(visit.program().name() + " " + visit.number(), all);
    }
    return met;
  }

  /** What was bought at a moment, by its number; -1 if nothing was. */
  private static int offer(Person person, long at) {
    for (int n = 0; n < person.purchases().size(); n++) {
      if (person.purchases().at(n) == at) {
        return person.purchases().what(n);
      }
    }
    return -1;
  }

  static long end(DryRun run, int number) {
    long first =
        run.newcomer(number, true).comings().stream()
            .mapToLong(Person.Coming::at)
            .min()
            .orElse(START.getEpochSecond());
    return first + HORIZON * 86_400L;
  }

  /** The lots that fell in a sampled life; whoever goes another way draws by the step. */
  static Replay.Lots lots(World world, List<Turn> turns) {
    return (step, ways, visit) -> {
      Program program = world.current(visit.program().name()).orElseThrow();
      StepId id = visit.program().steps().get(step).id();
      return turns.stream()
          .filter(turn -> turn.journey() == program.number() && turn.visit() == visit.number())
          .filter(turn -> turn.step() >= 0 && program.steps().get(turn.step()).id().equals(id))
          .filter(turn -> turn.kind() == Turn.Kind.TOOK || turn.kind() == Turn.Kind.SENT)
          .findFirst()
          .map(Turn::detail)
          .orElse(0);
    };
  }

  private static int lot(List<Turn> turns, int step, Visit visit) {
    return turns.stream()
        .filter(turn -> turn.journey() == visit.program().number())
        .filter(turn -> turn.visit() == visit.number() && turn.step() == step)
        .filter(turn -> turn.kind() == Turn.Kind.TOOK || turn.kind() == Turn.Kind.SENT)
        .findFirst()
        .orElseThrow()
        .detail();
  }

  /** Says again what the sampled person did. */
  private record AsBefore(DryRun run, Person before, List<Turn> turns) implements Choices {
    @Override
    public int lot(int step, int ways, Visit visit) {
      return DriversTest.lot(turns, step, visit);
    }

    @Override
    public Reply to(int send, Visit visit) {
      Visit then =
          before.visits().stream()
              .filter(one -> one.program() == visit.program() && one.number() == visit.number())
              .findFirst()
              .orElseThrow();
      long now = visit.now();
      boolean delivered = then.sent(send).deliveredAt() != Person.NEVER;
      return new Reply(
          delivered,
          !delivered && before.bouncesAt() == now && !then.sent(send).text(),
          after(then.sent(send).recordedOpenAt(), now),
          after(then.sent(send).peopleOpenAt(), now),
          after(then.sent(send).clickAt(), now),
          then.sent(send).clickedLink(),
          run.world().programs().stream()
                  .anyMatch(one -> History.unsubscribedByStep(one, turns, before.unsubscribesAt()))
              ? OptionalLong.empty()
              : later(before.unsubscribesAt(), then.sent(send).peopleOpenAt(), now),
          later(before.complainsAt(), then.sent(send).peopleOpenAt(), now),
          after(then.sent(send).orderAt(), now),
          offer(before, then.sent(send).orderAt()),
          then.sent(send).orderCents());
    }

    private static OptionalLong after(long at, long now) {
      return at == Person.NEVER ? OptionalLong.empty() : OptionalLong.of(at - now);
    }

    /** Whoever leaves the list does so after reading something; after which does not matter. */
    private static OptionalLong later(long at, long open, long now) {
      return open == Person.NEVER || at == Person.NEVER || at <= open
          ? OptionalLong.empty()
          : OptionalLong.of(at - now);
    }
  }
}
