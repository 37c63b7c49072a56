package org.opentrellis.core.report;

import java.time.Instant;
import java.util.List;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/** Something that people went through, who can be gone along with once more. */
public interface Retold {
  /** The journeys as they were. */
  World world();

  /** The beginning of the first day that is told of. */
  Instant start();

  /**
   * What one of the people did in one of their visits, in order.
   *
   * @param person their number, from 0
   * @param visit by order of entry, from 0
   */
  List<Turn> turns(int person, int visit);

  /** A dry run. */
  static Retold of(DryRun run) {
    return new Retold() {
      @Override
      public World world() {
        return run.world();
      }

      @Override
      public Instant start() {
        return run.settings().start();
      }

      @Override
      public List<Turn> turns(int person, int visit) {
        Diary diary = new Diary();
        return turnsOf(run.follow(person, diary).visits().get(visit), diary);
      }
    };
  }

  /** Those turns of a diary that belong to a visit. */
  static List<Turn> turnsOf(Visit visit, Diary diary) {
    return diary.turns().stream()
        .filter(turn -> turn.journey() == visit.program().number())
        .filter(turn -> turn.visit() == visit.number())
        .toList();
  }
}
