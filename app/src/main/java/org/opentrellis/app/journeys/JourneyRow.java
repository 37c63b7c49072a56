package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

record JourneyRow(
    long id,
    JourneyKind kind,
    String document,
    int version,
    OffsetDateTime savedAt,
    String behaviour,
    int behaviourVersion,
    boolean archived,
    @Nullable String starter) {}
