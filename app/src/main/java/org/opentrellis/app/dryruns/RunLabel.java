package org.opentrellis.app.dryruns;

import org.jspecify.annotations.Nullable;

/**
 * How a run is kept.
 *
 * @param name at most 80 characters; null or blank for none
 * @param pinned whether it stands at the top
 */
record RunLabel(@Nullable String name, boolean pinned) {}
