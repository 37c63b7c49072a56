package org.opentrellis.app.live;

import org.jspecify.annotations.Nullable;

/**
 * How far the clock is turned on: one of the three.
 *
 * @param seconds from now
 * @param to a moment, in epoch seconds
 * @param toNext whether to the next thing that is due
 */
record ClockOrder(@Nullable Long seconds, @Nullable Long to, @Nullable Boolean toNext) {}
