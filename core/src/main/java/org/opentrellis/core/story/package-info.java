/** One person's way through a journey in words: what happened when, and why each turn. */
@NullMarked
package org.opentrellis.core.story;

import org.jspecify.annotations.NullMarked;
