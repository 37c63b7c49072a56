/** Moves, copies and takes out steps of a journey, as somebody does who puts a plan in order. */
@NullMarked
package org.opentrellis.core.arrange;

import org.jspecify.annotations.NullMarked;
