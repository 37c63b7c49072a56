package org.opentrellis.core.crowd;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/**
 * What one of a dry run's people is and does: taken through journeys that run, they go the same
 * way.
 *
 * @param begun how they stand before anything happens
 * @param acts what happens to them, in order of time
 * @param lots which way each lot fell
 * @param turns what the dry run did with them
 */
public record Rehearsal(PersonState begun, List<Happening> acts, List<Lot> lots, List<Turn> turns) {

  /**
   * @param visit how many times they had entered the journey before
   */
  public record Lot(JourneyName journey, int visit, StepId step, int way) {}

  /**
   * @param number of the person, from 0
   */
  public static Rehearsal of(DryRun run, int number) {
    Diary diary = new Diary();
    Person person = run.follow(number, diary);
    PersonState begun = Standing.freeze(History.beforehand(run, number));
    List<Happening> acts =
        History.of(run, number, person, diary.turns()).stream()
            .sorted(Comparator.comparingLong(Happening::at))
            .toList();
    return new Rehearsal(begun, acts, lots(run, diary.turns()).toList(), diary.turns());
  }

  private static Stream<Lot> lots(DryRun run, List<Turn> turns) {
    return turns.stream()
        .filter(turn -> turn.step() >= 0)
        .filter(turn -> turn.kind() == Turn.Kind.TOOK || turn.kind() == Turn.Kind.SENT)
        .map(
            turn -> {
              Program program =
                  run.world().programs().stream()
                      .filter(one -> one.number() == turn.journey())
                      .findFirst()
                      .orElseThrow();
              StepId step = program.steps().get(turn.step()).id();
              return new Lot(program.name(), turn.visit(), step, turn.detail());
            });
  }
}
