package org.opentrellis.app.intake;

import org.jspecify.annotations.Nullable;

/**
 * A table as it is kept.
 *
 * @param terms the {@link TableOrder} as JSON, once it is being brought in
 * @param firstAdded the lowest number of those it added
 */
record TableRecord(
    long id,
    @Nullable Long actId,
    String name,
    String encoding,
    String delimiter,
    boolean header,
    @Nullable String terms,
    @Nullable Long firstAdded,
    @Nullable Long lastAdded) {}
