package org.opentrellis.app.betterways;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.search.SearchSize;

/**
 * How much there would be to try.
 *
 * @param vary what varies, as it is asked for
 * @param seconds how long that takes, about, by the last search or else the run; null if neither
 *     was made here
 */
record SizeView(List<LeewayView> vary, SearchSize size, @Nullable Double seconds) {}
