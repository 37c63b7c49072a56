package org.opentrellis.app.journeys;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.journey.Name;
import org.springframework.stereotype.Component;

/**
 * What the checks of a journey depend on besides itself and what it refers to.
 *
 * @param others the other journeys
 * @param carried tags and lists that somebody has
 * @param messages what is wrong with what is sent
 */
record Around(List<Neighbour> others, Set<Name> carried, MessageFaults messages, LocalDate today) {

  /** Looks around. */
  @Component
  static class Sight {
    private final JourneyIndex index;
    private final Carried carried;
    private final MessageFaults messages;
    private final Clock clock;

    Sight(JourneyIndex index, Carried carried, MessageFaults messages, Clock clock) {
      this.index = index;
      this.carried = carried;
      this.messages = messages;
      this.clock = clock;
    }

    Around of(long journey) {
      return new Around(index.neighboursOf(journey), carried.now(), messages, today());
    }

    LocalDate today() {
      return LocalDate.now(clock);
    }

    /** Which tags and lists somebody has, as a number. */
    int carried() {
      return carried.now().stream()
          .map(name -> name.getClass().getSimpleName() + " " + name.value())
          .sorted()
          .toList()
          .hashCode();
    }
  }
}
