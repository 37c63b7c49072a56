package org.opentrellis.core.walk;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/** Writes down each thing that happens to a person, whoever drives the machine. */
public final class Diary implements Witness {
  private static final int NO_STEP = -1;

  private final List<Turn> turns = new ArrayList<>();

  /** In the order in which it happened. */
  public List<Turn> turns() {
    return Collections.unmodifiableList(turns);
  }

  private void note(Visit visit, int step, Turn.Kind kind, int detail) {
    turns.add(new Turn(visit.now(), visit.program().number(), visit.number(), step, kind, detail));
  }

  @Override
  public void begins(Visit visit) {
    note(visit, NO_STEP, Turn.Kind.ENTERED_JOURNEY, visit.trigger());
  }

  @Override
  public void turnedAway(Program program, boolean byFilter, long at) {
    Turn.Kind kind = byFilter ? Turn.Kind.KEPT_OUT_BY_FILTER : Turn.Kind.MAY_NOT_ENTER_AGAIN;
    turns.add(new Turn(at, program.number(), 0, NO_STEP, kind, 0));
  }

  @Override
  public void entered(int step, Visit visit) {
    turns.add(
        new Turn(
            visit.steppedAt(),
            visit.program().number(),
            visit.number(),
            step,
            Turn.Kind.GOT_TO,
            0));
  }

  @Override
  public void held(int step, long seconds, Visit visit) {
    note(visit, step, Turn.Kind.HELD, 0);
  }

  @Override
  public void sent(int step, Sent message) {
    note(message.visit(), step, Turn.Kind.SENT, message.variant());
  }

  @Override
  public void skipped(int step, SkipReason reason, Visit visit) {
    note(visit, step, Turn.Kind.SKIPPED, reason.ordinal());
  }

  @Override
  public void took(int step, int way, Visit visit) {
    note(visit, step, Turn.Kind.TOOK, way);
  }

  @Override
  public void passed(int step, Visit visit) {
    note(visit, step, Turn.Kind.WENT_ON, 0);
  }

  @Override
  public void left(int step, LeaveReason reason, Visit visit) {
    note(visit, step, Turn.Kind.LEFT, reason.ordinal());
  }

  @Override
  public void finished(int step, Visit visit) {
    note(visit, step, Turn.Kind.FINISHED, 0);
  }

  @Override
  public void waiting(int step, Visit visit) {
    note(visit, step, Turn.Kind.STILL_THERE, 0);
  }
}
