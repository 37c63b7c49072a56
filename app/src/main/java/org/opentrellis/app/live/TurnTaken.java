package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;

/**
 * A turn that was taken, and is to be written down.
 *
 * @param before how they stood
 * @param after how they stand, as it is to be kept
 * @param lines what the log says of it; nothing if only time has passed, and nothing was done
 * @param told what was told, but for what was told before
 * @param now when it was taken, in epoch seconds
 */
record TurnTaken(
    Life before,
    LifeRow after,
    List<HappeningRow> lines,
    List<? extends Happening> told,
    LiveTurn.Done done,
    long now) {

  /**
   * The same.
   *
   * @param row how they stood, as it was kept
   * @param quietly what was told that brings them into no journey
   */
  static TurnTaken of(
      LifeRow row,
      Life before,
      List<? extends Happening> told,
      List<? extends Happening> quietly,
      LiveTurn.Done done,
      long now) {
    Long nextAt =
        done.nextAt() == Person.NEVER ? null : Long.valueOf(Math.max(done.nextAt(), now + 1));
    boolean idle =
        told.isEmpty()
            && quietly.isEmpty()
            && done.deeds().isEmpty()
            && done.life().edition() == before.edition()
            && done.life().standing().at(before.standing().now()).equals(before.standing());
    if (idle) {
      return new TurnTaken(before, row.waking(nextAt), List.of(), told, done, now);
    }
    int turn = row.turns() + 1;
    HappeningRow.OfTurn of =
        new HappeningRow.OfTurn(row.personId(), turn, now, done.life().edition());
    List<HappeningRow> lines = new ArrayList<>();
    told.forEach(one -> lines.add(of.told(one, HappeningRow.Origin.TOLD)));
    quietly.forEach(one -> lines.add(of.told(one, HappeningRow.Origin.QUIETLY)));
    done.deeds().forEach(deed -> lines.add(of.done(deed)));
    done.atOnce().forEach(one -> lines.add(of.told(one, HappeningRow.Origin.AT_ONCE)));
    if (lines.isEmpty()) {
      lines.add(of.nothing());
    }
    return new TurnTaken(before, row.after(done.life(), turn, nextAt), lines, told, done, now);
  }

  long person() {
    return after.personId();
  }

  PersonState stood() {
    return before.standing();
  }

  PersonState stands() {
    return done.life().standing();
  }

  boolean idle() {
    return lines.isEmpty();
  }
}
