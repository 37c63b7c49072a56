package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.account.Texting;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.crowd.History;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.live.LoggedLife;
import org.opentrellis.core.live.LoggedTurn;
import org.opentrellis.core.live.Relived;
import org.opentrellis.core.lived.LivedRun;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.report.RunReport;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/**
 * The fourth driver goes the way of the others: turn by turn, each time written down as JSON and
 * taken up again, over 2,000 random journeys that use the whole language. And the log of it leads
 * to the same standing again.
 */
@Tag("thorough")
class LiveTest {
  private static final Set<Turn.Kind> TOLD =
      Set.of(
          Turn.Kind.ENTERED_JOURNEY,
          Turn.Kind.HELD,
          Turn.Kind.SENT,
          Turn.Kind.SKIPPED,
          Turn.Kind.TOOK,
          Turn.Kind.LEFT,
          Turn.Kind.FINISHED);

  static LongStream seeds() {
    return LongStream.range(0, 20);
  }

  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void turnsGoTheWayOfTheDryRun(long hundred) {
    int deeds = 0;
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      deeds += goesTheSameWay(seed);
    }
    assertThat(deeds).isGreaterThan(300);
  }

  private static int goesTheSameWay(long seed) {
    DryRun run = DriversTest.dryRun(seed);
    int number = (int) (seed % 2);
    Diary sampled = new Diary();
    Person person = run.follow(number, sampled);
    List<Happening> history = new ArrayList<>(History.of(run, number, person, sampled.turns()));
    history.sort(Comparator.comparingLong(Happening::at));
    long end = DriversTest.end(run, number);

    Editions editions =
        Editions.none(run.world().products())
            .and(new Edition.Pressed(run.world().catalogue().pressure()));
    for (Program program : run.world().programs()) {
      editions =
          editions.and(new Edition.Opened(program.journey(), 1, RandomJourneys.CATALOGUE, false));
    }
    Person newcomer = History.beforehand(run, number);
    ZoneClock clock = newcomer.clock();
    LiveTurn turns = new LiveTurn(editions, clock::in);
    Life begun = new Life(editions.newest(), Standing.freeze(newcomer));
    Lived lived = new Lived(begun, turns, editions.newest());
    lived.upTo(end, history, DriversTest.lots(run.world(), sampled.turns()));

    World world = editions.world(editions.newest());
    assertThat(deedsByVisit(lived.deeds, world))
        .as("seed %d", seed)
        .isEqualTo(byVisit(sampled.turns(), run.world()));
    assertThat(goals(lived.deeds)).as("goals, seed %d", seed).isEqualTo(goals(person, end));
    assertThat(Relived.differences(begun, lived.log, lived.life, turns))
        .as("seed %d", seed)
        .isEmpty();
    if (seed % 5 == 1 && run.world().programs().size() == 1) {
      isCountedTheSame(run, number, new LoggedLife(begun, lived.log), editions, end);
    }
    return lived.deeds.size();
  }

  /** What is counted of a life that was written down is what the dry run counted, to the last. */
  private static void isCountedTheSame(
      DryRun run, int number, LoggedLife life, Editions editions, long end) {
    Instant start = run.settings().start();
    Tallies sampled = new Tallies(run.world(), start, run.settings().horizonDays());
    sampled.close(run.follow(number, sampled), number, visit -> true);
    sampled.finish();
    Program program = run.world().programs().getFirst();
    ZoneClock clock = run.newcomer(number, false).clock();
    LivedRun lived =
        new LivedRun(
            editions,
            program.name(),
            1,
            run.world(),
            only -> life,
            clock::in,
            start,
            run.settings().horizonDays(),
            end);
    RunReport told = RunReport.of(lived, lived.tallies(1), Texting.NONE);
    assertThat(lived.others()).isZero();
    assertThat(Json.write(told))
        .as("what is told of person %d of %s", number, program.name())
        .isEqualTo(Json.write(RunReport.of(run, sampled, Texting.NONE)));
  }

  private static void isWrittenDown(Happening happening) {
    String written = Json.write(Documents.write(happening));
    assertThat(Documents.readHappening(Json.tree(written))).isEqualTo(happening);
    assertThat(written.length()).isLessThan(2_000);
  }

  /** When each visit met its goal, as the turns tell it. */
  private static Map<String, Long> goals(List<Deed> deeds) {
    return deeds.stream()
        .filter(deed -> deed.kind() == Deed.Kind.GOAL_MET)
        .collect(Collectors.toMap(deed -> deed.journey() + " " + deed.visit(), Deed::at));
  }

  private static Map<String, Long> goals(Person person, long end) {
    return person.visits().stream()
        .filter(visit -> visit.goalMetAt(end) != Person.NEVER)
        .collect(
            Collectors.toMap(
                visit -> visit.program().name() + " " + visit.number(),
                visit -> visit.goalMetAt(end)));
  }

  /** Somebody who is put down as text after each turn. */
  private static final class Lived {
    private final LiveTurn turns;
    private final int edition;
    private final List<Deed> deeds = new ArrayList<>();
    private final List<LoggedTurn> log = new ArrayList<>();
    private Life life;
    private long nextAt;

    Lived(Life begun, LiveTurn turns, int edition) {
      this.life = begun;
      this.turns = turns;
      this.edition = edition;
      this.nextAt =
          begun.standing().coming().stream()
              .mapToLong(PersonState.Coming::at)
              .min()
              .orElse(Person.NEVER);
    }

    void upTo(long end, List<Happening> history, Replay.Lots lots) {
      List<Happening> pending = new ArrayList<>(history);
      while (true) {
        long told = pending.isEmpty() ? Person.NEVER : pending.getFirst().at();
        long now = Math.min(nextAt, told);
        if (now > end) {
          return;
        }
        List<Happening> known = pending.stream().filter(one -> one.at() == now).toList();
        pending.removeAll(known);
        take(known, now, lots);
      }
    }

    /** What a mail server says at once is known as soon as the message goes out. */
    private void take(List<Happening> known, long now, Replay.Lots lots) {
      LiveTurn.MailServer server =
          (message, at) ->
              known.stream()
                  .filter(Happening.OfMessage.class::isInstance)
                  .map(Happening.OfMessage.class::cast)
                  .filter(one -> one.message().equals(message))
                  .toList();
      known.forEach(LiveTest::isWrittenDown);
      LiveTurn.Done done = turns.take(life, edition, known, List.of(), now, lots, server);
      deeds.addAll(done.deeds());
      log.add(new LoggedTurn(edition, now, known, List.of(), done.atOnce(), done.deeds()));
      String written = Json.write(Documents.write(done.life().standing()));
      life = new Life(done.life().edition(), Documents.readStanding(Json.tree(written)));
      assertThat(life).isEqualTo(done.life());
      nextAt = done.nextAt();
    }
  }

  /** What happened in a visit, by names. */
  private record Told(String visit, long at, String step, Turn.Kind kind, int detail) {}

  private static Map<String, List<Told>> byVisit(List<Turn> turns, World world) {
    return turns.stream()
        .filter(turn -> TOLD.contains(turn.kind()))
        .map(turn -> told(turn, world))
        .collect(Collectors.groupingBy(Told::visit));
  }

  private static Told told(Turn turn, World world) {
    Program program =
        world.programs().stream()
            .filter(one -> one.number() == turn.journey())
            .findFirst()
            .orElseThrow();
    return new Told(
        program.name() + " " + turn.visit(),
        turn.at(),
        turn.step() < 0 ? "" : program.steps().get(turn.step()).id().value(),
        turn.kind(),
        turn.kind() == Turn.Kind.ENTERED_JOURNEY ? 0 : turn.detail());
  }

  private static Map<String, List<Told>> deedsByVisit(List<Deed> deeds, World world) {
    return deeds.stream()
        .flatMap(deed -> told(deed, world).stream())
        .collect(Collectors.groupingBy(Told::visit));
  }

  private static List<Told> told(Deed deed, World world) {
    Program program = world.current(deed.journey()).orElseThrow();
    String detail = deed.detail().orElse("");
    return switch (deed.kind()) {
      case ENTERED -> List.of(told(deed, Turn.Kind.ENTERED_JOURNEY, 0));
      case HELD_BACK -> List.of(told(deed, Turn.Kind.HELD, 0));
      case SENT -> List.of(told(deed, Turn.Kind.SENT, variant(deed, program)));
      case SKIPPED -> List.of(told(deed, Turn.Kind.SKIPPED, SkipReason.valueOf(detail).ordinal()));
      case WENT_WAY -> List.of(told(deed, Turn.Kind.TOOK, Integer.parseInt(detail)));
      case LEFT -> List.of(told(deed, Turn.Kind.LEFT, LeaveReason.valueOf(detail).ordinal()));
      case FINISHED -> List.of(told(deed, Turn.Kind.FINISHED, 0));
      case KEPT_OUT,
          TURNED_AWAY,
          LOT_DRAWN,
          RECORD_CHANGED,
          HANDED_OVER,
          TEAM_TOLD,
          GOAL_MET,
          SECONDARY_GOAL_MET ->
          List.of();
    };
  }

  private static int variant(Deed deed, Program program) {
    Step.Send send = program.sends().get(program.sendOf(deed.step().orElseThrow()));
    List<String> ids = send.versions().stream().map(one -> one.id().value()).toList();
    return deed.detail().map(ids::indexOf).orElse(0);
  }

  private static Told told(Deed deed, Turn.Kind kind, int detail) {
    return new Told(
        deed.journey() + " " + deed.visit(),
        deed.at(),
        deed.step().map(StepId::value).orElse(""),
        kind,
        detail);
  }
}
