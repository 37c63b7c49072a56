package org.opentrellis.core.format;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Turns documents of the fourth version of the format into this one's. There were no manuscripts
 * then.
 */
final class FourthVersion {
  private static final int NUMBER = 4;

  private FourthVersion() {}

  /** A journey file of either version in this version. */
  static JsonNode file(JsonNode given) {
    if (!given.path("version").isInt() || given.get("version").intValue() != NUMBER) {
      return given;
    }
    ObjectNode file = (ObjectNode) given.deepCopy();
    file.put("version", JourneyFile.VERSION);
    return file;
  }
}
