package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Channel;

/**
 * @param manuscript null if it begins with what journeys see of it
 * @param labels as JSON
 */
record MessageRow(
    String id,
    String name,
    Channel channel,
    String headline,
    String links,
    boolean voucher,
    @Nullable String manuscript,
    String labels,
    @Nullable OffsetDateTime archivedAt,
    @Nullable String starter,
    int version,
    OffsetDateTime createdAt) {}
