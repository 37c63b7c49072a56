package org.opentrellis.core.live;

import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.Lot;
import org.opentrellis.core.replay.Replay;

/**
 * Lots that fall by who somebody is, which visit it is and which step: however often a turn is
 * tried, they fall the same way.
 *
 * @param key nobody else's
 */
public record PersonalLots(long key) implements Replay.Lots {
  /** Parts of the addresses of draws, so never used for anything else. */
  private static final int VISIT = 1;

  private static final int LOT = 2;

  @Override
  public int way(int step, double[] ways, Visit visit) {
    String which = visit.program().name() + " " + visit.number();
    long visitKey = Draws.bits(key, Draws.address(VISIT, which));
    String id = visit.program().steps().get(step).id().value();
    return Lot.way(Draws.uniform(visitKey, Draws.address(LOT, id)), ways);
  }
}
