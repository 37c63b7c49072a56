/**
 * Sentences read back: what somebody types about a journey becomes a change of it. Reads all that
 * {@code sentence} prints in its typed style, and the shorter forms that people use.
 */
@NullMarked
package org.opentrellis.core.reading;

import org.jspecify.annotations.NullMarked;
