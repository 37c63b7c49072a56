package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

record VersionRow(
    int version,
    String document,
    OffsetDateTime savedAt,
    @Nullable String savedBy,
    @Nullable String name) {}
