package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
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

  private static DryRun dryRun(long seed) {
    Journey journey = RandomJourneys.journey(seed, 1 + (int) (seed % 25));
    Behaviour behaviour = RandomJourneys.behaviour(seed);
    CohortSettings cohort = CohortSettings.of(2, seed, START, HORIZON);
    if (seed % 3 != 0) {
      return new DryRun(journey, RandomJourneys.CATALOGUE, behaviour, cohort);
    }
    Journey other = RandomJourneys.journey(seed + 10_000, 12).edit().name("Another").done();
    return new DryRun(
        List.of(journey, other), RandomJourneys.CATALOGUE, List.of(behaviour, behaviour), cohort);
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

    Walk walk = new Walk(run.newcomer(number, true), new AsBefore(run, person, sampled.turns()));
    walk.goOn(end);
    walk.close();
    assertThat(walk.diary().turns()).as("walk, seed %d", seed).isEqualTo(sampled.turns());

    Diary replayed = new Diary();
    Person again = run.newcomer(number, false);
    new Replay(
            again, history(run, number, person, sampled.turns()), lots(sampled.turns()), replayed)
        .run(end);
    assertThat(byVisit(replayed.turns()))
        .as("replay, seed %d", seed)
        .isEqualTo(byVisit(sampled.turns()));
    return sampled.turns().size();
  }

  private static long end(DryRun run, int number) {
    long first =
        run.newcomer(number, true).comings().stream()
            .mapToLong(Person.Coming::at)
            .min()
            .orElse(START.getEpochSecond());
    return first + HORIZON * 86_400L;
  }

  /** Turns of one visit in order; visits at one instant may be told in another order. */
  private static Map<List<Integer>, List<Turn>> byVisit(List<Turn> turns) {
    return turns.stream()
        .filter(turn -> turn.kind() != Turn.Kind.KEPT_OUT_BY_FILTER)
        .filter(turn -> turn.kind() != Turn.Kind.MAY_NOT_ENTER_AGAIN)
        .collect(Collectors.groupingBy(turn -> List.of(turn.journey(), turn.visit())));
  }

  private static Replay.Lots lots(List<Turn> turns) {
    return (step, visit) -> lot(turns, step, visit);
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
          !delivered && before.bouncesAt() == now,
          after(then.sent(send).recordedOpenAt(), now),
          after(then.sent(send).peopleOpenAt(), now),
          after(then.sent(send).clickAt(), now),
          then.sent(send).clickedLink(),
          run.world().programs().stream()
                  .anyMatch(one -> unsubscribedByStep(one, turns, before.unsubscribesAt()))
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

  private static int offer(Person person, long at) {
    for (int n = 0; n < person.purchases().size(); n++) {
      if (person.purchases().at(n) == at) {
        return person.purchases().what(n);
      }
    }
    return -1;
  }

  /** Everything that happened to a person, as a mail server and a shop would have recorded it. */
  private static List<Happening> history(DryRun run, int number, Person person, List<Turn> turns) {
    List<Happening> history = new ArrayList<>();
    Person fated = run.newcomer(number, true);
    for (Person.Coming coming : fated.comings()) {
      Trigger by =
          coming.trigger() < 0
              ? new Trigger.PutIn()
              : run.world()
                  .programs()
                  .get(coming.program())
                  .journey()
                  .triggers()
                  .get(coming.trigger());
      if (!(by instanceof Trigger.Buys) && !(by instanceof Trigger.EventArrives)) {
        history.add(new Happening.Comes(coming.at(), coming.program(), coming.trigger()));
      }
    }
    for (int n = 0; n < fated.purchases().size(); n++) {
      history.add(
          new Happening.Bought(
              fated.purchases().at(n), fated.purchases().what(n), fated.purchases().cents(n)));
    }
    for (int n = 0; n < fated.events().size(); n++) {
      history.add(new Happening.Experienced(fated.events().at(n), fated.events().what(n)));
    }
    person.visits().forEach(visit -> add(history, visit, person));
    if (person.unsubscribesAt() != Person.NEVER
        && run.world().programs().stream()
            .noneMatch(one -> unsubscribedByStep(one, turns, person.unsubscribesAt()))) {
      history.add(new Happening.Unsubscribed(person.unsubscribesAt()));
    }
    if (person.complainsAt() != Person.NEVER) {
      history.add(new Happening.Complained(person.complainsAt()));
    }
    return history;
  }

  /** Whether a step of a journey did it, which the machine does by itself. */
  private static boolean unsubscribedByStep(Program program, List<Turn> turns, long at) {
    return turns.stream()
        .filter(turn -> turn.journey() == program.number() && turn.at() == at && turn.step() >= 0)
        .map(turn -> program.steps().get(turn.step()))
        .anyMatch(
            step ->
                step instanceof Step.Change change
                    && change.changes().contains(new RecordChange.Unsubscribe()));
  }

  private static void add(List<Happening> history, Visit visit, Person person) {
    for (int n = 0; n < visit.sends(); n++) {
      int send = visit.sentInOrder(n).send();
      var message = new Happening.Sent(visit.program().number(), visit.number(), send);
      if (visit.sent(send).bouncedAt() != Person.NEVER) {
        boolean forGood = person.bouncesAt() == visit.sent(send).bouncedAt();
        history.add(new Happening.Bounced(visit.sent(send).bouncedAt(), message, forGood));
      }
      if (visit.sent(send).deliveredAt() != Person.NEVER) {
        history.add(new Happening.Delivered(visit.sent(send).deliveredAt(), message));
      }
      if (visit.sent(send).recordedOpenAt() != Person.NEVER) {
        history.add(new Happening.OpenRecorded(visit.sent(send).recordedOpenAt(), message));
      }
      if (visit.sent(send).peopleOpenAt() != Person.NEVER) {
        history.add(new Happening.Opened(visit.sent(send).peopleOpenAt(), message));
      }
      if (visit.sent(send).clickAt() != Person.NEVER) {
        history.add(
            new Happening.Clicked(
                visit.sent(send).clickAt(), message, visit.sent(send).clickedLink()));
      }
      if (visit.sent(send).orderAt() != Person.NEVER) {
        history.add(
            new Happening.Ordered(
                visit.sent(send).orderAt(),
                message,
                offer(person, visit.sent(send).orderAt()),
                visit.sent(send).orderCents()));
      }
    }
  }
}
