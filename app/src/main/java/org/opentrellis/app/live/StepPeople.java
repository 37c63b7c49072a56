package org.opentrellis.app.live;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Who stands at a step.
 *
 * @param total how many
 * @param people some of them, the longest there first
 */
record StepPeople(long total, List<StandingPerson> people) {

  /**
   * @param until when they wait there at the latest; null if nothing says so
   */
  record StandingPerson(long person, String who, long since, @Nullable Long until) {}
}
