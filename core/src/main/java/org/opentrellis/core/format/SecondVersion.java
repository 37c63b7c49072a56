package org.opentrellis.core.format;

import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Turns documents of the second version of the format into the third's. A message had a channel
 * then, and a subject that held a text's words; now it has a content.
 */
final class SecondVersion {
  private static final int NUMBER = 2;

  private SecondVersion() {}

  /** A journey file of the second version in the third. */
  static JsonNode file(JsonNode given) {
    if (!given.path("version").isInt() || given.get("version").intValue() != NUMBER) {
      return given;
    }
    ObjectNode file = (ObjectNode) catalogue(given).deepCopy();
    file.put("version", NUMBER + 1);
    return file;
  }

  /** What holds messages, of either version, in this version. */
  static JsonNode catalogue(JsonNode given) {
    if (!given.path("messages").isArray()) {
      return given;
    }
    ObjectNode catalogue = (ObjectNode) given.deepCopy();
    ArrayNode messages = catalogue.putArray("messages");
    given.get("messages").forEach(message -> messages.add(message(message)));
    return catalogue;
  }

  private static JsonNode message(JsonNode given) {
    if (!given.path("channel").isString()) {
      return given;
    }
    boolean text = given.get("channel").stringValue().equals("TEXT");
    ObjectNode message = JsonNodeFactory.instance.objectNode();
    for (Map.Entry<String, JsonNode> field : given.properties()) {
      switch (field.getKey()) {
        case "channel" -> message.putObject("content").put("kind", text ? "text" : "email");
        case "subject" -> {}
        default -> message.set(field.getKey(), field.getValue());
      }
    }
    if (given.has("subject")) {
      ((ObjectNode) message.get("content")).set(text ? "words" : "subject", given.get("subject"));
    }
    return message;
  }
}
