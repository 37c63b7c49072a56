package org.opentrellis.app.journeys;

import java.time.OffsetDateTime;

record JourneyRow(
    long id,
    String document,
    int version,
    OffsetDateTime savedAt,
    String behaviour,
    int behaviourVersion) {}
