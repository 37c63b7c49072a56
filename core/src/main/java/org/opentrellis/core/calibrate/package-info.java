/** From what happened to the model's values, each with its interval. */
@NullMarked
package org.opentrellis.core.calibrate;

import org.jspecify.annotations.NullMarked;
