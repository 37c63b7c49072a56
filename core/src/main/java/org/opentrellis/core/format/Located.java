package org.opentrellis.core.format;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.core.TokenStreamLocation;

/** Adds line and column to problems that name their place by a JSON Pointer. */
final class Located {
  private Located() {}

  static ProblemsFound in(String text, ProblemsFound found) {
    Map<String, TokenStreamLocation> places = places(text);
    List<Problem> located =
        found.problems().stream().map(problem -> located(problem, places)).toList();
    return new ProblemsFound(located);
  }

  private static Problem located(Problem problem, Map<String, TokenStreamLocation> places) {
    String place = problem.place();
    while (!places.containsKey(place)) {
      place = place.substring(0, place.lastIndexOf('/'));
    }
    TokenStreamLocation at = places.get(place);
    return new Problem(
        problem.code(),
        problem.place(),
        "Line %d, column %d: %s".formatted(at.getLineNr(), at.getColumnNr(), problem.sentence()));
  }

  /** Where the value of each pointer begins. */
  private static Map<String, TokenStreamLocation> places(String text) {
    Map<String, TokenStreamLocation> places = new HashMap<>();
    try (JsonParser parser = Json.parser(text)) {
      while (parser.nextToken() != null) {
        JsonToken token = parser.currentToken();
        if (token != JsonToken.PROPERTY_NAME && !token.isStructEnd()) {
          TokenStreamContext inside = parser.streamReadContext();
          TokenStreamContext context = token.isStructStart() ? inside.getParent() : inside;
          places.putIfAbsent(context.pathAsPointer().toString(), parser.currentTokenLocation());
        }
      }
    }
    return places;
  }
}
