package org.opentrellis.core.format;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Map;
import java.util.Set;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Fills in what is assumed of people where a document does not say it: the typical value. */
final class TypicalValues {
  /** Types of which every value that is not said is filled in; so they are written in full. */
  static final Set<Class<?>> FILLED_IN =
      Set.of(Behaviour.class, AudienceGroup.class, Reaction.class);

  private TypicalValues() {}

  static JsonNode fillFile(JsonNode file) {
    if (!(file instanceof ObjectNode fields) || !fields.hasNonNull("behaviour")) {
      return file;
    }
    ObjectNode filled = fields.deepCopy();
    filled.set("behaviour", fillBehaviour(fields.get("behaviour")));
    return filled;
  }

  static JsonNode fillBehaviour(JsonNode given) {
    if (!(given instanceof ObjectNode fields)) {
      return given;
    }
    DocumentWriter writer = new DocumentWriter(true);
    Behaviour typical = TypicalBehaviour.in(Documents.USUAL_ZONE);
    JsonNode whole = writer.write(typical, Behaviour.class);
    ObjectNode filled = filled(fields, whole);
    if (filled.get("usual") instanceof ObjectNode usual) {
      filled.set("usual", filled(usual, whole.get("usual")));
      fillEmails(filled);
    }
    fillGroups(filled, writer);
    return filled;
  }

  /** What is not said of an email is as with the usual one. */
  private static void fillEmails(ObjectNode behaviour) {
    if (behaviour.get("emails") instanceof ObjectNode emails) {
      for (Map.Entry<String, JsonNode> email : emails.deepCopy().properties()) {
        emails.set(email.getKey(), filled(email.getValue(), behaviour.get("usual")));
      }
    }
  }

  static JsonNode fillCohort(JsonNode given) {
    if (!(given instanceof ObjectNode fields)) {
      return given;
    }
    ObjectNode filled = fields.deepCopy();
    fillGroups(filled, new DocumentWriter(true));
    return filled;
  }

  private static void fillGroups(ObjectNode filled, DocumentWriter writer) {
    JsonNode groups = filled.path("groups");
    if (groups.isArray()) {
      var all = filled.putArray("groups");
      groups.forEach(group -> all.add(filled(group, typicalGroup(group, writer))));
    }
  }

  private static JsonNode typicalGroup(JsonNode given, DocumentWriter writer) {
    AudienceGroup typical =
        TypicalBehaviour.group("Everyone", 1, new Keenness(0.38, 0.25), zone(given));
    ObjectNode fields = (ObjectNode) writer.write(typical, AudienceGroup.class);
    fields.remove("name");
    fields.remove("share");
    return fields;
  }

  private static ZoneId zone(JsonNode group) {
    try {
      return ZoneId.of(group.path("zone").asString("Europe/Berlin"));
    } catch (DateTimeException unknown) {
      return Documents.USUAL_ZONE;
    }
  }

  private static ObjectNode filled(JsonNode given, JsonNode typical) {
    ObjectNode filled = ((ObjectNode) typical).deepCopy();
    if (given instanceof ObjectNode fields) {
      fields.properties().forEach(field -> filled.set(field.getKey(), field.getValue()));
    }
    return filled;
  }
}
