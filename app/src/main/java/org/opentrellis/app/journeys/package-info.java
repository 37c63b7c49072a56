/** Journeys as they are kept: list, read, save, and what checks and estimates say of them. */
@NullMarked
package org.opentrellis.app.journeys;

import org.jspecify.annotations.NullMarked;
