package org.opentrellis.app.insights;

import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.ShareDifference;

/**
 * What other assumptions would make of a run, on fewer people.
 *
 * @param people who went through both ways
 * @param before as the run is
 * @param after with the other assumptions
 * @param goal the goal's change, the same people compared one by one; null without a goal
 * @param sentence the same in words
 */
record PreviewView(
    int people,
    RunMeasures before,
    RunMeasures after,
    @Nullable ShareDifference goal,
    String sentence) {}
