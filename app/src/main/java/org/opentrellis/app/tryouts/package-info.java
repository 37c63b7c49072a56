/** Trying a journey on oneself: a private run of a draft that counts nowhere. */
@NullMarked
package org.opentrellis.app.tryouts;

import org.jspecify.annotations.NullMarked;
