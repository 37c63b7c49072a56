package org.opentrellis.app.messages;

import java.time.OffsetDateTime;

record MessageRow(
    String id, String name, String subject, String links, int version, OffsetDateTime createdAt) {}
