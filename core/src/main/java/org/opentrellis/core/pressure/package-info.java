/** What it does to people and goals when the account finds some mail enough for one person. */
@NullMarked
package org.opentrellis.core.pressure;

import org.jspecify.annotations.NullMarked;
