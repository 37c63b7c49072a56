package org.opentrellis.app.tryouts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.live.Tryout;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What somebody did in a private run, as JSON. */
final class TryoutActs {
  private TryoutActs() {}

  static String written(List<Tryout.Act> acts) {
    ArrayNode all = (ArrayNode) Json.tree("[]");
    for (Tryout.Act act : acts) {
      ObjectNode one = all.addObject().put("at", act.at());
      act.what().ifPresent(what -> one.set("what", Documents.write(what)));
    }
    return Json.write(all);
  }

  static List<Tryout.Act> read(String acts) {
    List<Tryout.Act> all = new ArrayList<>();
    for (JsonNode one : Json.tree(acts)) {
      JsonNode what = one.get("what");
      all.add(
          new Tryout.Act(
              one.get("at").asLong(),
              what == null ? Optional.empty() : Optional.of(Documents.readHappening(what))));
    }
    return all;
  }
}
