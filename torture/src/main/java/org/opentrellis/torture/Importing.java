package org.opentrellis.torture;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/**
 * Brings tables of people in and takes them back, one after the other, through many lives of the
 * application. Whatever it says is over is looked at: an import is whole, or gone.
 */
final class Importing {
  private static final int ROWS = 12_000;
  private static final long PATIENCE_MILLIS = 120_000;

  private final Score score;
  private int tables;

  Importing(Score score) {
    this.score = score;
  }

  /** After a start: what is over is looked at, and the next thing begins. */
  void goOn(Api api) {
    JsonNode act = newest(api);
    if (act.isMissingNode()) {
      bringIn(api);
    } else if (isOver(act)) {
      check(api, act);
      if (act.at("/state").asString().equals("DONE")) {
        api.post("/api/people-acts/" + act.at("/id").asLong() + "/back", "{}");
      } else {
        bringIn(api);
      }
    }
  }

  /** Waits until nothing is under way, and looks at what is there. */
  void end(Api api) {
    long until = System.currentTimeMillis() + PATIENCE_MILLIS;
    while (!isOver(newest(api)) && System.currentTimeMillis() < until) {
      Server.sleep(100);
    }
    check(api, newest(api));
  }

  private static JsonNode newest(Api api) {
    return api.get("/api/people-acts").body().path(0);
  }

  private static boolean isOver(JsonNode act) {
    return act.at("/state").asString().matches("DONE|TAKEN_BACK");
  }

  private void check(Api api, JsonNode act) {
    score.acknowledge();
    long wanted = act.at("/state").asString().equals("DONE") ? ROWS : 0;
    JsonNode page =
        api.post(
                "/api/people/pages",
                """
                {"find": "are on list Fair and have tag stand and have field hives at least 0",
                 "search": "", "order": "NAME", "after": null}
                """)
            .body();
    long found = page.at("/total").asLong();
    long everybody = page.at("/everybody").asLong();
    if (!isOver(act) || found != wanted || everybody != wanted) {
      score.lose("%d of %d people, %d whole, after: %s".formatted(everybody, wanted, found, act));
    }
  }

  private void bringIn(Api api) {
    int number = ++tables;
    String table =
        IntStream.range(0, ROWS)
            .mapToObj(row -> "keeper%d.%d@example.com,%d".formatted(number, row, row % 9))
            .collect(Collectors.joining("\n", "email,hives\n", "\n"));
    long id =
        api.send("POST", "/api/people-tables?name=fair.csv", "text/csv", table)
            .body()
            .at("/id")
            .asLong();
    api.post(
        "/api/people-tables/" + id + "/acts",
        """
        {"columns": [
           {"use": "ADDRESS", "field": null, "type": null, "dates": null, "decimal": null},
           {"use": "FIELD", "field": "hives", "type": "NUMBER", "dates": null, "decimal": "POINT"}],
         "country": null, "known": "BRING_UP_TO_DATE", "lists": ["Fair"], "tags": ["stand"],
         "agreement": "THEY_AGREED", "agreed": "signed", "zone": "Europe/Oslo"}
        """);
  }
}
