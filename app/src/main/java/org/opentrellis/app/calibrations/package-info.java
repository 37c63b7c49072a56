/** Assumptions fitted to what happened. */
@NullMarked
package org.opentrellis.app.calibrations;

import org.jspecify.annotations.NullMarked;
