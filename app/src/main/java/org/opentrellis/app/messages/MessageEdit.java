package org.opentrellis.app.messages;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Channel;

/**
 * A message as a user writes it.
 *
 * @param channel email or text
 * @param subject the subject line of an email, the words of a text
 * @param voucher whether it gives something off
 * @param version the version it was read at; null for a new message
 */
public record MessageEdit(
    String name,
    Channel channel,
    String subject,
    List<String> links,
    boolean voucher,
    @Nullable Integer version) {}
