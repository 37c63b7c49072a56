package org.opentrellis.core.journey;

import java.util.List;

/**
 * A run of steps that several journeys include; changing it changes them all.
 *
 * @param name not blank, at most 80 characters
 * @param body its steps; their conditions ask about the strand's own emails only
 */
public record Strand(StrandId id, String name, List<Step> body) {
  public Strand {
    name = Text.named("a strand's name", name, 80);
    body = List.copyOf(body);
    Journey.requireUniqueIds(body);
  }
}
