/** Journeys that run: what is open, where everybody stands, what happened and what goes out. */
@NullMarked
package org.opentrellis.app.live;

import org.jspecify.annotations.NullMarked;
