package org.opentrellis.app.visitors;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.live.CrowdOrder;

/**
 * Who is to come by themselves.
 *
 * @param entrance the form that they fill in
 * @param journeys numbers of open ones that they come into, by the form or by what they do then
 * @param people how many, 1 to 1,000
 * @param days over how many days they come, from the day after tomorrow on
 * @param pace how they are spread over the days; null for evenly
 * @param confirm how many of a hundred confirm that it was they, if the form has them confirm
 * @param seed of all draws: the same seed gives the same people
 */
record VisitorOrder(
    long entrance,
    List<Long> journeys,
    int people,
    int days,
    CrowdOrder.@Nullable ComingPace pace,
    int confirm,
    long seed) {
  CrowdOrder coming(List<Long> all) {
    return new CrowdOrder(all, people, days, pace, seed);
  }
}
