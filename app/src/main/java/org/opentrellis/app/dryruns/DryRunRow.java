package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;

record DryRunRow(
    long id,
    long journeyId,
    int journeyVersion,
    String document,
    String behaviour,
    String messages,
    int people,
    long seed,
    OffsetDateTime startAt,
    int horizonDays,
    OffsetDateTime madeAt,
    long millis,
    String results) {}
