package org.opentrellis.core.vary;

import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;

/**
 * A number that can be varied.
 *
 * @param id names it, the same as long as journey and groups keep their ids and names
 * @param name what it is, in words
 * @param unit what it is counted in; shares are in percent
 * @param value as it is
 * @param lower a little less
 * @param higher a little more
 * @param least where its curve begins
 * @param most where its curve ends
 * @param step the step of the journey that it belongs to; null for the people's
 * @param set the same plan with another value
 */
record Knob(
    String id,
    String name,
    String unit,
    double value,
    double lower,
    double higher,
    double least,
    double most,
    @Nullable String step,
    BiFunction<VariedRun, Double, VariedRun> set) {

  VariedRun at(double other, VariedRun plan) {
    return set.apply(plan, other);
  }
}
