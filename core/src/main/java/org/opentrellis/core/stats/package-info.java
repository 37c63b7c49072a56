/** Intervals, tests and accumulators for shares and times. Knows no journeys. */
@NullMarked
package org.opentrellis.core.stats;

import org.jspecify.annotations.NullMarked;
