/** All journeys at a glance, with what their newest dry runs showed. */
@NullMarked
package org.opentrellis.app.overview;

import org.jspecify.annotations.NullMarked;
