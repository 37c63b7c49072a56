/** Journeys as files: out of the application and into it. */
@NullMarked
package org.opentrellis.app.exchange;

import org.jspecify.annotations.NullMarked;
