package org.opentrellis.core.live;

import java.time.ZoneId;
import java.util.List;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Witness;

/**
 * A life as it was written down.
 *
 * @param begun as they stood before the first turn
 */
public record LoggedLife(Life begun, List<LoggedTurn> turns) {
  public LoggedLife {
    turns = List.copyOf(turns);
  }

  /**
   * Lives it once more in one go, for a witness who wants to see it all.
   *
   * @param until the end of what is looked at, in epoch seconds
   * @return the person then, with all their visits
   */
  public Person relive(
      Editions editions, Function<ZoneId, ZoneClock> clocks, Witness witness, long until) {
    Taking taking = new Taking(editions, begun, clocks, witness);
    taking.person().endsAt(until);
    for (LoggedTurn turn : turns) {
      taking.takes(
          turn.edition(), turn.told(), turn.quietly(), turn.now(), turn.lots(), turn.answers());
    }
    taking.close();
    return taking.person();
  }
}
