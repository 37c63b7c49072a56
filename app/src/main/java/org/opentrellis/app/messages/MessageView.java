package org.opentrellis.app.messages;

import java.util.List;

/** A message as the API gives it. */
public record MessageView(
    String id, String name, String subject, List<String> links, int version) {}
