/** A person's turn: taken up as they stand, told what happened, and put down again. */
@NullMarked
package org.opentrellis.core.live;

import org.jspecify.annotations.NullMarked;
