/** Runs that are made on other machines: documents go out, counts come back. */
@NullMarked
package org.opentrellis.core.elsewhere;

import org.jspecify.annotations.NullMarked;
