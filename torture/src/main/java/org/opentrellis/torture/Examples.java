package org.opentrellis.torture;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Bodies that the API takes, made by its description; whole documents are those that the
 * application itself gives.
 */
final class Examples {
  private static final int DEEPEST = 8;

  private final JsonNode description;
  private final Map<String, JsonNode> documents = new HashMap<>();

  Examples(JsonNode description, Api api) {
    this.description = description;
    JsonNode journey = api.get("/api/journeys/1").body();
    JsonNode run = api.get("/api/dry-runs/1").body();
    put("Journey", journey.path("journey"));
    put("Behaviour", journey.path("behaviour"));
    put("CohortPlan", run.path("cohort"));
    put("Step", journey.at("/journey/body/0"));
    put("Strand", api.get("/api/strands").body().at("/0/document"));
    put("Segment", api.get("/api/segments").body().at("/0/document"));
  }

  private void put(String name, JsonNode document) {
    if (document.isObject()) {
      documents.put(name, document);
    }
  }

  Optional<JsonNode> bodyOf(JsonNode operation) {
    JsonNode schema = operation.at("/requestBody/content/application~1json/schema");
    return schema.isMissingNode() ? Optional.empty() : Optional.of(of(schema, "", 0));
  }

  private JsonNode of(JsonNode schema, String name, int depth) {
    String reference = schema.path("$ref").asString("");
    if (!reference.isEmpty()) {
      String named = reference.substring(reference.lastIndexOf('/') + 1);
      JsonNode document = documents.get(named);
      return document != null
          ? document.deepCopy()
          : depth > DEEPEST
              ? JsonNodeFactory.instance.objectNode()
              : of(description.at("/components/schemas/" + named), named, depth + 1);
    }
    for (String choice : new String[] {"anyOf", "oneOf", "allOf"}) {
      if (schema.has(choice)) {
        return of(schema.get(choice).get(0), name, depth + 1);
      }
    }
    if (schema.has("enum")) {
      return schema.get("enum").get(0);
    }
    JsonNode type = schema.path("type");
    return switch (type.isArray() ? type.get(0).asString() : type.asString("object")) {
      case "string" -> text(schema, name);
      case "integer", "number" -> number(name);
      case "boolean" -> JsonNodeFactory.instance.booleanNode(false);
      case "array" -> {
        ArrayNode array = JsonNodeFactory.instance.arrayNode();
        array.add(of(schema.path("items"), name, depth + 1));
        yield array;
      }
      default -> {
        ObjectNode object = JsonNodeFactory.instance.objectNode();
        JsonNode properties = schema.path("properties");
        properties
            .propertyNames()
            .forEach(one -> object.set(one, of(properties.get(one), one, depth + 1)));
        yield object;
      }
    };
  }

  /** Places count from 0, versions and ids from 1. */
  private static JsonNode number(String name) {
    boolean place = name.matches("group|number|link|baseline");
    return JsonNodeFactory.instance.numberNode(place ? 0 : 1);
  }

  private static JsonNode text(JsonNode schema, String name) {
    return JsonNodeFactory.instance.stringNode(
        switch (schema.path("format").asString("")) {
          case "date-time" -> "2027-03-01T09:00:00";
          case "date" -> "2027-03-01";
          default -> name.equals("runs") ? "1" : "Words";
        });
  }
}
