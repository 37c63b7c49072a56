/** One person going through, with what they do chosen for them; every turn is written down. */
@NullMarked
package org.opentrellis.core.walk;

import org.jspecify.annotations.NullMarked;
