/** What will go out on the days ahead, and who will get too much. */
@NullMarked
package org.opentrellis.core.ahead;

import org.jspecify.annotations.NullMarked;
