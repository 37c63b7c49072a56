package org.opentrellis.app.messages;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A message as a user writes it.
 *
 * @param version the version it was read at; null for a new message
 */
public record MessageEdit(
    String name, String subject, List<String> links, @Nullable Integer version) {}
