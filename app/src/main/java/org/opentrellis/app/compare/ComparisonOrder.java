package org.opentrellis.app.compare;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;

/**
 * What is put side by side.
 *
 * @param runs two to six, each a run or one of its journeys, such as 12 or 12.1
 * @param baseline the place of the one that the others are compared with; null for the first
 * @param lineUp null for what suits them: by message for versions of one journey, else the order of
 *     emails
 * @param compared null for opens
 */
record ComparisonOrder(
    List<String> runs,
    @Nullable Integer baseline,
    @Nullable LineUp lineUp,
    @Nullable Compared compared) {}
