package org.opentrellis.app.dryruns;

import java.time.OffsetDateTime;

/** What a run was made with and what it showed; {@link SummaryRow} has the rest. */
record DryRunRow(
    String document, String behaviour, String catalogue, OffsetDateTime startAt, String results) {}
