package org.opentrellis.app.revisions;

import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Name;
import tools.jackson.databind.node.StringNode;

/**
 * A registered name, or a journey, is called otherwise from now on, in the transaction in which
 * this is told: whoever keeps documents puts the new name in the place of the old one.
 *
 * @param text how the old name stands in JSON, to look for it before reading
 */
public record NameChanged(Name before, Name after, String text) {
  public static NameChanged of(Name before, Name after) {
    return new NameChanged(before, after, Json.write(StringNode.valueOf(before.value())));
  }
}
