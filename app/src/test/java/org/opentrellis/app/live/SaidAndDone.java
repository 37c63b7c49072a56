package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.walk.Turn;

/** What a dry run said of somebody, and what was done with them, in the same words. */
public final class SaidAndDone {
  private SaidAndDone() {}

  /** What the dry run did, a line each, in order. */
  public static List<String> said(DryRun run, List<Turn> turns) {
    List<String> all = new ArrayList<>();
    for (Turn turn : turns) {
      Program program =
          run.world().programs().stream()
              .filter(one -> one.number() == turn.journey())
              .findFirst()
              .orElseThrow();
      String step = turn.step() < 0 ? "" : " " + program.steps().get(turn.step()).id().value();
      String what =
          switch (turn.kind()) {
            case ENTERED_JOURNEY -> "ENTERED";
            case KEPT_OUT_BY_FILTER -> "KEPT_OUT";
            case MAY_NOT_ENTER_AGAIN -> "TURNED_AWAY";
            case HELD -> "HELD_BACK";
            case SENT -> "SENT " + variant(program, turn);
            case SKIPPED -> "SKIPPED " + SkipReason.values()[turn.detail()];
            case TOOK -> "WENT_WAY " + turn.detail();
            case LEFT -> "LEFT " + LeaveReason.values()[turn.detail()];
            case FINISHED -> "FINISHED";
            case GOT_TO, WENT_ON, STILL_THERE -> "";
          };
      if (!what.isEmpty()) {
        boolean whole = turn.kind() == Turn.Kind.ENTERED_JOURNEY || turn.kind() == Turn.Kind.LEFT;
        all.add(turn.at() + " " + program.name() + (whole ? "" : step) + " " + what);
      }
    }
    Collections.sort(all);
    return all;
  }

  private static String variant(Program program, Turn turn) {
    Step.Send send = (Step.Send) program.steps().get(turn.step());
    return send.versions().isEmpty() ? "" : send.versions().get(turn.detail()).id().value();
  }

  /** What the machine did with somebody, in the same words. */
  public static List<String> done(RunningApplication application, long person, long end) {
    List<String> all = new ArrayList<>();
    for (HappeningRow row : application.bean(HappeningMapper.class).of(person)) {
      if (row.origin() != HappeningRow.Origin.DONE || row.at() > end) {
        continue;
      }
      Deed deed = row.deed();
      boolean told =
          switch (deed.kind()) {
            case LOT_DRAWN, RECORD_CHANGED, HANDED_OVER, TEAM_TOLD, GOAL_MET, SECONDARY_GOAL_MET ->
                false;
            case ENTERED,
                KEPT_OUT,
                TURNED_AWAY,
                WENT_WAY,
                SENT,
                HELD_BACK,
                SKIPPED,
                LEFT,
                FINISHED ->
                true;
          };
      if (told) {
        String step =
            deed.kind() == Deed.Kind.LEFT || deed.step().isEmpty()
                ? ""
                : " " + deed.step().get().value();
        String detail =
            deed.kind() == Deed.Kind.SENT
                ? " " + deed.detail().orElse("")
                : deed.detail().map(one -> " " + one).orElse("");
        all.add(deed.at() + " " + deed.journey() + step + " " + deed.kind() + detail);
      }
    }
    Collections.sort(all);
    return all;
  }
}
