package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/** A run as it is kept; {@link RunJourneyRow} has what is each journey's. */
record RunRow(
    long id,
    @Nullable String name,
    boolean pinned,
    OffsetDateTime madeAt,
    long millis,
    int engine,
    int people,
    @Nullable String cohort,
    @Nullable String cohortName,
    long seed,
    OffsetDateTime startAt,
    int horizonDays,
    String catalogue,
    @Nullable String results,
    @Nullable OffsetDateTime resultsAt,
    @Nullable String lived,
    boolean aside) {}
