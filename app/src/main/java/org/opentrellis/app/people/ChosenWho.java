package org.opentrellis.app.people;

import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Who is meant, chosen part by part.
 *
 * @param condition as a segment has it
 */
record ChosenWho(@Schema(ref = Schemas.CONDITION) JsonNode condition) {
  private static final String THEM = "Them";

  /** Null for everybody, who need no condition. */
  static @Nullable JsonNode document(Condition who) {
    return who instanceof Condition.All all && all.parts().isEmpty()
        ? null
        : Documents.write(new Segment(new SegmentName(THEM), who)).get("who");
  }

  /**
   * @throws ProblemsFound if it cannot be one
   */
  Condition read() {
    ObjectNode segment = JsonNodeFactory.instance.objectNode();
    segment.put("name", THEM);
    segment.set("who", condition);
    try {
      return Documents.readSegment(segment).who();
    } catch (ProblemsFound found) {
      throw new ProblemsFound(
          found.problems().stream()
              .map(
                  one ->
                      new Problem(
                          one.code(),
                          one.place().replaceFirst("^/who", "/condition"),
                          one.sentence()))
              .toList());
    }
  }
}
