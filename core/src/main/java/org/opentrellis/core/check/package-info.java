/** Findings on a journey: one small class for each rule. */
@NullMarked
package org.opentrellis.core.check;

import org.jspecify.annotations.NullMarked;
