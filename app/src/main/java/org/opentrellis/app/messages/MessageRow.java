package org.opentrellis.app.messages;

import java.time.OffsetDateTime;
import org.opentrellis.core.journey.Channel;

record MessageRow(
    String id,
    String name,
    Channel channel,
    String headline,
    String links,
    boolean voucher,
    int version,
    OffsetDateTime createdAt) {}
