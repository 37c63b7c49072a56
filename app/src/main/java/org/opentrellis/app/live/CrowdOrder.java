package org.opentrellis.app.live;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Who is to come into journeys.
 *
 * @param journeys numbers of open ones
 * @param people how many, 1 to 5,000
 * @param days over how many days they come, from the day after tomorrow on
 * @param pace how they are spread over the days; null for evenly
 * @param seed of all draws: the same seed gives the same people
 */
public record CrowdOrder(
    List<Long> journeys, int people, int days, @Nullable ComingPace pace, long seed) {

  /** How those who come are spread over the days. */
  public enum ComingPace {
    EVENLY,
    /** Half as many on the second day as on the first, a third on the third, and so on. */
    MOST_AT_FIRST
  }

  /** Evenly. */
  public CrowdOrder(List<Long> journeys, int people, int days, long seed) {
    this(journeys, people, days, ComingPace.EVENLY, seed);
  }
}
