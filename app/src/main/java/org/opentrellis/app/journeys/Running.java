package org.opentrellis.app.journeys;

import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;

/** What is known of journeys that run. */
public interface Running {

  /** How many people stand at each step of a journey now; only those where somebody does. */
  Map<String, Long> insideAtSteps(long journey);

  /**
   * Whether a journey says something else now than when it was opened last, if ever it was.
   *
   * @param catalogue what it refers to now
   */
  boolean changedSinceOpened(long journey, Journey now, Catalogue catalogue);

  /** The mail server that mail leaves this machine to; empty if it stays here. */
  Optional<String> mailLeavesTo();
}
