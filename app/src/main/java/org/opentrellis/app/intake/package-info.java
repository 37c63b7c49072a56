/** Tables of people that are brought in: looked at, checked, brought in piece by piece. */
@NullMarked
package org.opentrellis.app.intake;

import org.jspecify.annotations.NullMarked;
