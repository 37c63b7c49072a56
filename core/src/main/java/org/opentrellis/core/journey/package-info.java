/** What a journey is: triggers, steps, conditions, goal. Immutable; knows nothing of running it. */
@NullMarked
package org.opentrellis.core.journey;

import org.jspecify.annotations.NullMarked;
