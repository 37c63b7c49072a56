/** One person's way through a journey, and ways that are kept as tests of it. */
@NullMarked
package org.opentrellis.app.walks;

import org.jspecify.annotations.NullMarked;
