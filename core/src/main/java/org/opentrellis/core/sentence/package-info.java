/** The journey in words. */
@NullMarked
package org.opentrellis.core.sentence;

import org.jspecify.annotations.NullMarked;
