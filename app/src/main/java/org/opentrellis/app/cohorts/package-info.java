/** Who enters dry runs, kept under a name. */
@NullMarked
package org.opentrellis.app.cohorts;

import org.jspecify.annotations.NullMarked;
