package org.opentrellis.app.journeys;

import java.util.List;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.journey.Journey;

/** Knows what is wrong with the messages that a journey sends. */
public interface MessageFaults {
  /** What the code of such a finding begins with. */
  String CODE = "message-";

  /**
   * @param journey with the steps of its strands in place
   * @return what forbids opening it, at the steps that send; what could be better, once for each
   *     message
   */
  List<Finding> of(Journey journey);
}
