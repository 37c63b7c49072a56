/** The account's clock: the machine's, and what was turned on. */
@NullMarked
package org.opentrellis.app.clock;

import org.jspecify.annotations.NullMarked;
