package org.opentrellis.app.people;

import org.jspecify.annotations.Nullable;

/**
 * What became of some rows of a table.
 *
 * @param first the lowest number of those who were added; null if none were
 */
public record Brought(
    long added, long changed, long same, @Nullable Long first, @Nullable Long last) {}
