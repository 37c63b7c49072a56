/** Ready-made journeys to begin from. */
@NullMarked
package org.opentrellis.app.starters;

import org.jspecify.annotations.NullMarked;
