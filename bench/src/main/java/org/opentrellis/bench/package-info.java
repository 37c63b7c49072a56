/** How fast the engine is, side by side with others that simulate the same journey. */
@NullMarked
package org.opentrellis.bench;

import org.jspecify.annotations.NullMarked;
