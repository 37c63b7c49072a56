package org.opentrellis.app.cohorts;

import java.time.OffsetDateTime;

record CohortRow(long id, String name, String document, OffsetDateTime savedAt) {}
