package org.opentrellis.app.messages;

import java.util.List;
import org.opentrellis.core.journey.Channel;

/** A message as the API gives it. */
public record MessageView(
    String id,
    String name,
    Channel channel,
    String subject,
    List<String> links,
    boolean voucher,
    int version) {}
