/** Standing rules: sentences with a switch, which run as journeys of their own. */
@NullMarked
package org.opentrellis.app.rules;

import org.jspecify.annotations.NullMarked;
