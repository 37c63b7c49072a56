/** Dry runs: made, kept and read again. */
@NullMarked
package org.opentrellis.app.dryruns;

import org.jspecify.annotations.NullMarked;
