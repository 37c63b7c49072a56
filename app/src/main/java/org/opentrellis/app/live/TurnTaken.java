package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;

/**
 * A turn that was taken, and is to be written down.
 *
 * @param row how they stood before it
 * @param before the same, read
 * @param told what was told, but for what was told before
 * @param quietly likewise, but it brings them into no journey
 * @param now when it was taken, in epoch seconds
 */
record TurnTaken(
    LifeRow row,
    Life before,
    List<? extends Happening> told,
    List<? extends Happening> quietly,
    LiveTurn.Done done,
    long now) {

  long person() {
    return row.personId();
  }

  PersonState stood() {
    return before.standing();
  }

  PersonState stands() {
    return done.life().standing();
  }

  /** Whether nothing but time has passed, and it did nothing. */
  boolean idle() {
    return told.isEmpty()
        && quietly.isEmpty()
        && done.deeds().isEmpty()
        && done.life().edition() == before.edition()
        && stands().at(stood().now()).equals(stood());
  }

  /** How they stand after it. */
  LifeRow after() {
    return idle() ? row.waking(nextAt()) : row.after(done.life(), row.turns() + 1, nextAt());
  }

  private @Nullable Long nextAt() {
    return done.nextAt() == Person.NEVER ? null : Long.valueOf(Math.max(done.nextAt(), now + 1));
  }

  /** What the log says of it. */
  List<HappeningRow> lines() {
    HappeningRow.OfTurn of =
        new HappeningRow.OfTurn(person(), row.turns() + 1, now, done.life().edition());
    List<HappeningRow> lines = new ArrayList<>();
    told.forEach(one -> lines.add(of.told(one, HappeningRow.Origin.TOLD)));
    quietly.forEach(one -> lines.add(of.told(one, HappeningRow.Origin.QUIETLY)));
    done.deeds().forEach(deed -> lines.add(of.done(deed)));
    done.atOnce().forEach(one -> lines.add(of.told(one, HappeningRow.Origin.AT_ONCE)));
    if (lines.isEmpty()) {
      lines.add(of.nothing());
    }
    return lines;
  }
}
