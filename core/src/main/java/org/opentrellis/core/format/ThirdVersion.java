package org.opentrellis.core.format;

import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Turns documents of the third version of the format into the fourth's. A leave rule was a
 * condition then, and led into no other journey.
 */
final class ThirdVersion {
  private static final int NUMBER = 3;

  private ThirdVersion() {}

  /** A journey file of the third version in the fourth. */
  static JsonNode file(JsonNode given) {
    if (!given.path("version").isInt() || given.get("version").intValue() != NUMBER) {
      return given;
    }
    ObjectNode file = JsonNodeFactory.instance.objectNode();
    for (Map.Entry<String, JsonNode> field : given.properties()) {
      file.set(
          field.getKey(),
          field.getKey().equals("journey") ? journey(field.getValue()) : field.getValue());
    }
    file.put("version", NUMBER + 1);
    return file;
  }

  /** A journey of either version in this version; what is no journey stays as it is. */
  static JsonNode journey(JsonNode given) {
    if (!(given instanceof ObjectNode journey) || !given.path("leaveWhen").isArray()) {
      return given;
    }
    ArrayNode rules = JsonNodeFactory.instance.arrayNode();
    for (JsonNode rule : given.get("leaveWhen")) {
      rules.add(rule.has("kind") ? JsonNodeFactory.instance.objectNode().set("when", rule) : rule);
    }
    ObjectNode changed = journey.deepCopy();
    changed.set("leaveWhen", rules);
    return changed;
  }
}
