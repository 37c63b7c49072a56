/** Draws that are addressed by (seed, person, purpose), and the quantile tables that shape them. */
@NullMarked
package org.opentrellis.core.random;

import org.jspecify.annotations.NullMarked;
