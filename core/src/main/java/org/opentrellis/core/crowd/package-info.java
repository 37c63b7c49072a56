/** Simulated people who act for real: what a dry run draws, as happenings. */
@NullMarked
package org.opentrellis.core.crowd;

import org.jspecify.annotations.NullMarked;
