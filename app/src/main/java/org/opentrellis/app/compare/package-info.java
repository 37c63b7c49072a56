/** Runs side by side. */
@NullMarked
package org.opentrellis.app.compare;

import org.jspecify.annotations.NullMarked;
