package org.opentrellis.core.format;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Turns documents that were kept in the first version of the format into this one's. They are known
 * by their re-entry rule, which was a word then, and by groups whose keenness was a number.
 */
final class FirstVersion {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private FirstVersion() {}

  /** A journey of either version in this version. */
  static JsonNode journey(JsonNode given) {
    if (!given.path("reEntry").isString()) {
      return given;
    }
    ObjectNode journey = (ObjectNode) given.deepCopy();
    String reEntry = journey.get("reEntry").stringValue();
    journey.set("reEntry", kind(reEntry.equals("NEVER") ? "never" : "afterHavingLeft"));
    if (journey.get("goal") instanceof ObjectNode goal) {
      ObjectNode bought = kind("bought");
      bought.set("what", NODES.objectNode());
      goal.set("what", bought);
    }
    condition(journey.get("entryFilter"));
    journey.set("body", steps(journey.get("body")));
    return journey;
  }

  private static ArrayNode steps(JsonNode given) {
    ArrayNode steps = NODES.arrayNode();
    given.forEach(step -> steps.add(step((ObjectNode) step)));
    return steps;
  }

  private static ObjectNode step(ObjectNode step) {
    switch (step.get("kind").stringValue()) {
      case "send" -> step.put("kind", "sendEmail");
      case "wait" -> wait(step);
      case "branch" -> {
        step.get("arms").forEach(arm -> arm((ObjectNode) arm));
        ObjectNode otherwise = (ObjectNode) step.get("otherwise");
        otherwise.remove("condition");
        otherwise.set("steps", steps(otherwise.get("steps")));
      }
      default -> {
        // changes and finish are as they were
      }
    }
    return step;
  }

  private static void arm(ObjectNode arm) {
    condition(arm.get("condition"));
    arm.set("steps", steps(arm.get("steps")));
  }

  private static void wait(ObjectNode step) {
    JsonNode amount = step.remove("amount");
    JsonNode until = step.remove("until");
    ObjectNode rule = kind(amount == null || amount.isNull() ? "until" : "for");
    if (rule.get("kind").stringValue().equals("until")) {
      rule.set("moment", until);
    } else {
      rule.set("amount", amount);
      rule.set("thenUntil", until == null ? NODES.nullNode() : until);
    }
    step.set("rule", rule);
  }

  private static void condition(JsonNode given) {
    if (!(given instanceof ObjectNode condition)) {
      return;
    }
    if (condition.path("email").isString()) {
      ObjectNode email = kind("ofStep");
      email.set("step", condition.get("email"));
      condition.set("email", email);
    }
    condition.path("parts").forEach(FirstVersion::condition);
  }

  /** Assumptions of either version in this version. */
  static JsonNode behaviour(JsonNode given) {
    JsonNode behaviour = given.deepCopy();
    for (JsonNode group : behaviour.path("groups")) {
      if (group instanceof ObjectNode fields && fields.path("keenness").isNumber()) {
        ObjectNode keenness = NODES.objectNode();
        keenness.set("mean", fields.get("keenness"));
        keenness.set("spread", fields.remove("spread"));
        fields.set("keenness", keenness);
      }
    }
    return behaviour;
  }

  private static ObjectNode kind(String name) {
    ObjectNode node = NODES.objectNode();
    node.put("kind", name);
    return node;
  }
}
