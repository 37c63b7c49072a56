/** Tables of people that are brought in: what form they have, and what each row says. */
@NullMarked
package org.opentrellis.core.intake;

import org.jspecify.annotations.NullMarked;
