/** What matters to the goal: numbers of a journey and of its people, varied one at a time. */
@NullMarked
package org.opentrellis.core.vary;

import org.jspecify.annotations.NullMarked;
