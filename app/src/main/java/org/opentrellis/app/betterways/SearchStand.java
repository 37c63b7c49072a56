package org.opentrellis.app.betterways;

import org.jspecify.annotations.Nullable;
import org.opentrellis.app.computing.Task;
import org.opentrellis.core.search.SearchWatch;

/**
 * How far a search is.
 *
 * @param job what it is asked about by
 * @param share how much of the work is done, in [0, 1], as it looks now
 * @param best the best so far; null before there is one
 * @param ahead by how much it is better than today, in words; null for today's journey
 * @param enough whether it has been told that this is to do
 * @param failure why it failed; null unless it did
 */
record SearchStand(
    long job,
    Task.State state,
    double share,
    @Nullable Double secondsLeft,
    SearchWatch.@Nullable Best best,
    @Nullable String ahead,
    boolean enough,
    @Nullable String failure) {}
