/** Runs side by side: lined up, their differences judged, and what stands out in them. */
@NullMarked
package org.opentrellis.core.compare;

import org.jspecify.annotations.NullMarked;
