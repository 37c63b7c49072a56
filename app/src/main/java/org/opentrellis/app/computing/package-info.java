/**
 * The one room for computing: everything that takes people through journeys is done here, on
 * threads of its own, in queues that have an end.
 */
@NullMarked
package org.opentrellis.app.computing;

import org.jspecify.annotations.NullMarked;
