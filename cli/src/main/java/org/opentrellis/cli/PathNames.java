package org.opentrellis.cli;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.PathTally;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/** The steps of the distinct ways, found by following the first who went each of them again. */
final class PathNames {
  private static final double DAY = 86_400;

  private PathNames() {}

  static List<RunResult.PathResult> of(DryRun run, JourneyTally tally) {
    return tally.paths().kept().stream()
        .sorted(Comparator.comparingLong(PathTally::count).reversed())
        .map(path -> path(run, tally, path))
        .toList();
  }

  private static RunResult.PathResult path(DryRun run, JourneyTally tally, PathTally path) {
    Diary diary = new Diary();
    Visit visit = run.follow(path.firstPerson(), diary).visits().get(path.firstVisit());
    Program program = tally.program();
    List<String> steps = new ArrayList<>();
    String end = "";
    for (Turn turn : diary.turns()) {
      if (turn.journey() != program.number() || turn.visit() != visit.number()) {
        continue;
      }
      if (turn.kind() == Turn.Kind.GOT_TO) {
        steps.add(program.steps().get(turn.step()).id().value());
      }
      end = end(turn, end);
    }
    return new RunResult.PathResult(
        path.count(),
        path.count() / (double) tally.entered(),
        path.goalMet(),
        path.messages() / (double) path.count(),
        path.seconds() / DAY / path.count(),
        end,
        steps);
  }

  private static String end(Turn turn, String before) {
    return switch (turn.kind()) {
      case LEFT ->
          "left: "
              + LeaveReason.values()[turn.detail()]
                  .name()
                  .toLowerCase(Locale.ROOT)
                  .replace('_', ' ');
      case FINISHED -> "finished";
      case STILL_THERE -> "still there";
      default -> before;
    };
  }
}
