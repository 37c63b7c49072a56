package org.opentrellis.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.crowd.History;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.walk.Diary;

/**
 * Putting a person down after any happening and taking them up again, into a world compiled anew
 * with another journey beside theirs and in another order, changes nothing that follows. 2,000
 * random journeys that use the whole language.
 */
@Tag("thorough")
class StandingTest {
  static LongStream seeds() {
    return LongStream.range(0, 20);
  }

  @ParameterizedTest(name = "journeys from {0}00 on")
  @MethodSource("seeds")
  void puttingSomebodyDownChangesNothingThatFollows(long hundred) {
    int lines = 0;
    for (long seed = 100 * hundred; seed < 100 * hundred + 100; seed++) {
      DryRun run = DriversTest.dryRun(seed);
      int number = (int) (seed % 2);
      Diary sampled = new Diary();
      Person person = run.follow(number, sampled);
      List<Happening> history = History.of(run, number, person, sampled.turns());
      Told told =
          new Told(History.beforehand(run, number), DriversTest.lots(run.world(), sampled.turns()));
      List<World> worlds = List.of(beside(run, seed, true), run.world(), beside(run, seed, false));
      int[] moved = {0};
      told.afterEach = () -> told.moveInto(worlds.get(moved[0]++ % worlds.size()));
      told.asItHappens(history, DriversTest.end(run, number));
      assertThat(told.lines().byVisit())
          .as("seed %d", seed)
          .isEqualTo(Lines.of(run.world(), sampled.turns()).byVisit());
      long end = DriversTest.end(run, number);
      assertThat(DriversTest.goals(told.replay.person(), end))
          .as("goals, seed %d", seed)
          .isEqualTo(DriversTest.goals(person, end));
      lines += told.lines().inOrder().size();
    }
    assertThat(lines).isGreaterThan(1_000);
  }

  /** The same journeys with one beside them into which nobody comes. */
  private static World beside(DryRun run, long seed, boolean first) {
    Journey other =
        RandomJourneys.journey(seed + 77_000, 15)
            .edit()
            .name("Beside")
            .triggers(List.of(new Trigger.SubmitsForm(Optional.of(new FormName("Nowhere")))))
            .done();
    List<Journey> journeys = new ArrayList<>();
    run.world().programs().stream().map(Program::journey).forEach(journeys::addFirst);
    if (first) {
      journeys.addFirst(other);
    } else {
      journeys.add(other);
    }
    return World.compile(journeys, run.world().catalogue(), run.world().products());
  }
}
