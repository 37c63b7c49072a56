/** How much mail is enough for one person, and a trial of what that costs and saves. */
@NullMarked
package org.opentrellis.app.pressure;

import org.jspecify.annotations.NullMarked;
