package org.opentrellis.app.walks;

import java.time.OffsetDateTime;

record KeptWalkRow(long id, String name, String document, String outcome, OffsetDateTime keptAt) {}
