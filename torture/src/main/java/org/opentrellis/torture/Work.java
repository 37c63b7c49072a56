package org.opentrellis.torture;

import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * People at work: each saves a journey of their own again and again, one brings files in, one makes
 * runs. What is answered as done is written down, and must be there later.
 */
final class Work {
  private static final int SAVERS = 4;

  private final Score score;
  private final Map<Long, Map<Integer, String>> saves = new ConcurrentHashMap<>();
  private final ConcurrentLinkedQueue<Long> imported = new ConcurrentLinkedQueue<>();
  private final ConcurrentLinkedQueue<Long> runs = new ConcurrentLinkedQueue<>();
  private final List<Thread> people = new ArrayList<>();
  private volatile boolean over;
  private int checkedLives;

  Work(Score score) {
    this.score = score;
  }

  void begin(Api api) {
    over = false;
    checkedLives++;
    String life = "Life " + checkedLives;
    for (int i = 0; i < SAVERS; i++) {
      String name = life + " saver " + i;
      atWork(() -> save(api, name));
    }
    atWork(() -> bringIn(api));
    atWork(() -> run(api));
  }

  /** Until nobody answers any more. */
  private void atWork(Runnable work) {
    Thread thread =
        new Thread(
            () -> {
              try {
                work.run();
              } catch (UncheckedIOException killed) {
                // That is what the ordeal is about.
              }
            });
    people.add(thread);
    thread.start();
  }

  void end() {
    over = true;
    for (Thread person : people) {
      try {
        person.join();
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
      }
    }
    people.clear();
  }

  private void save(Api api, String name) {
    long id = begin(api, "welcome");
    Api.Answer got = api.get("/api/journeys/" + id);
    score.answered(got.isDone() ? 200 : 599, "a journey just begun: " + got.text());
    JsonNode view = got.body();
    if (!(view.get("journey") instanceof ObjectNode journey)) {
      return;
    }
    int version = view.path("version").asInt();
    for (int n = 1; !over; n++) {
      String words = name + " save " + n;
      journey.put("name", words);
      ObjectNode order = Api.JSON.createObjectNode().put("version", version);
      order.set("journey", journey);
      Api.Answer saved = counted(api.put("/api/journeys/" + id, order.toString()), "a save");
      if (saved.isDone()) {
        version = saved.body().path("version").asInt();
        saves.computeIfAbsent(id, any -> new ConcurrentHashMap<>()).put(version, words);
        score.acknowledge();
      }
    }
  }

  private void bringIn(Api api) {
    long id = begin(api, "cart");
    String file = api.get("/api/journeys/" + id + "/file").text();
    ObjectNode order = Api.JSON.createObjectNode().put("text", file).put("keep", true);
    order.putArray("overwrite");
    while (!over) {
      Api.Answer kept = counted(api.post("/api/imports", order.toString()), "an import");
      if (kept.isDone()) {
        imported.add(kept.body().path("id").asLong());
        score.acknowledge();
      }
    }
  }

  private void run(Api api) {
    long id = begin(api, "nurture");
    JsonNode groups = api.get("/api/journeys/" + id).body().at("/behaviour/groups");
    String order =
        """
        {"journeys": [%d], "cohortId": null, "seed": 1, "horizonDays": 30, "cohort":
          {"people": 500, "groups": %s, "arrivals": {"kind": "evenly", "days": 7}, "holdOut": 0}}
        """
            .formatted(id, groups);
    while (!over) {
      JsonNode job = counted(api.post("/api/dry-runs", order), "a run").body();
      long number = job.path("job").asLong();
      while (!over && job.path("state").asString().matches("QUEUED|RUNNING")) {
        Server.sleep(20);
        job = api.get("/api/runs-on-their-way/" + number).body();
      }
      if (job.path("state").asString().equals("DONE")) {
        runs.add(job.path("run").asLong());
        score.acknowledge();
      }
    }
  }

  /** Begins from a starter: nothing stands in the way of that, so a refusal is a fault, too. */
  private long begin(Api api, String starter) {
    Api.Answer begun = api.post("/api/starters/" + starter + "/journeys", "");
    score.answered(begun.isDone() ? 201 : 599, "a starter: " + begun.text());
    return begun.body().path("id").asLong();
  }

  private Api.Answer counted(Api.Answer answer, String what) {
    score.answered(answer.status(), what + ": " + answer.text());
    return answer;
  }

  /** Looks for everything that was answered as done. */
  void check(Api api) {
    saves.forEach(
        (id, versions) ->
            versions.forEach(
                (version, name) -> {
                  JsonNode kept =
                      api.get("/api/journeys/%d/versions/%d".formatted(id, version)).body();
                  if (!kept.at("/journey/name").asString("").equals(name)) {
                    score.lose("version %d of journey %d, %s".formatted(version, id, name));
                  }
                }));
    saves.forEach(
        (id, versions) -> {
          int newest = versions.keySet().stream().max(Integer::compare).orElse(0);
          if (api.get("/api/journeys/" + id).body().path("version").asInt() < newest) {
            score.lose("the newest save of journey " + id);
          }
        });
    for (long id : imported) {
      if (!api.get("/api/journeys/" + id + "/file").isDone()) {
        score.lose("import " + id);
      }
    }
    for (long id : runs) {
      if (!api.get("/api/dry-runs/" + id).isDone()) {
        score.lose("run " + id);
      }
    }
  }
}
