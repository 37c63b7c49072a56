package org.opentrellis.torture;

import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Twenty people create the same thing at one moment: each gets it, gets it under another name, or
 * is told that the name is taken; nobody is told that we are at fault, and no name stands twice.
 */
public final class TwentyAtOnce implements Ordeal {
  private static final int PEOPLE = 20;

  private final Api api;
  private final String mark;

  /**
   * @param address an application with the demo's data
   */
  public TwentyAtOnce(String address, long seed) {
    this.api = new Api(address);
    this.mark = Integer.toHexString(new Random(seed).nextInt());
  }

  @Override
  public void suffer(Score score) {
    String name = "At once " + mark;
    JsonNode cohort = api.get("/api/dry-runs/1").body().get("cohort");
    String file = api.get("/api/journeys/1/file").text();
    ObjectNode imported = Api.JSON.createObjectNode().put("text", file).put("keep", true);
    imported.putArray("overwrite");
    ObjectNode kept = Api.JSON.createObjectNode().put("name", name);
    kept.set("cohort", cohort);
    atOnce(score, () -> api.post("/api/starters/re-engagement/journeys", ""));
    atOnce(score, () -> api.post("/api/journeys/1/copies", ""));
    atOnce(score, () -> api.post("/api/imports", imported.toString()));
    atOnce(score, () -> api.post("/api/cohorts", kept.toString()));
    atOnce(
        score,
        () ->
            api.post(
                "/api/journeys", "{\"name\": \"%s\", \"purpose\": \"OTHER\"}".formatted(name)));
    atOnce(
        score,
        () ->
            api.post(
                "/api/messages",
                """
                {"name": "%s", "content": {"kind": "email", "subject": "Hello"}, "links": [],
                  "voucher": false, "version": null}
                """
                    .formatted(name)));
    atOnce(
        score,
        () ->
            api.post(
                "/api/kept-comparisons",
                """
                {"name": "%s", "runs": ["1", "2"], "baseline": 0, "lineUp": "EMAIL_ORDER",
                  "compared": "OPENED"}
                """
                    .formatted(name)));
    atOnce(
        score,
        () -> api.put("/api/journeys/1/versions/1/name", "{\"name\": \"%s\"}".formatted(name)));
    atOnce(
        score,
        () ->
            api.put(
                "/api/strands/at-once-" + mark,
                shared(
                    "{\"id\": \"at-once-%s\", \"name\": \"%s\", \"body\": []}"
                        .formatted(mark, name))));
    atOnce(
        score,
        () ->
            api.put(
                "/api/segments/" + name.replace(" ", "%20"),
                shared(
                    "{\"name\": \"%s\", \"who\": {\"kind\": \"hasTag\", \"tag\": \"t\"}}"
                        .formatted(name))));
    atOnce(
        score,
        () ->
            api.post(
                "/api/journeys/1/kept-walks",
                """
                {"name": "%s", "walker": {"group": 0, "number": 0, "start": "2027-03-01T09:00:00",
                  "tags": [], "lists": [], "agreesToTexts": false, "choices": [], "lots": {},
                  "modelDecides": true}}
                """
                    .formatted(name)));
    unique(score, "/api/journeys/names", "/name");
    unique(score, "/api/strands", "/document/id");
    unique(score, "/api/segments", "/document/name");
    unique(score, "/api/messages", "/name");
    unique(score, "/api/cohorts", "/name");
    unique(score, "/api/kept-comparisons", "/name");
  }

  private static String shared(String document) {
    return "{\"version\": null, \"document\": %s}".formatted(document);
  }

  private void atOnce(Score score, Supplier<Api.Answer> request) {
    CountDownLatch together = new CountDownLatch(1);
    List<Thread> people = new ArrayList<>();
    for (int i = 0; i < PEOPLE; i++) {
      Thread person =
          new Thread(
              () -> {
                try {
                  together.await();
                  Api.Answer answer = request.get();
                  score.answered(answer.status(), "at once: " + answer.text());
                } catch (UncheckedIOException broken) {
                  score.answered(599, "at once: " + broken.getMessage());
                } catch (InterruptedException stopped) {
                  Thread.currentThread().interrupt();
                }
              });
      people.add(person);
      person.start();
    }
    together.countDown();
    for (Thread person : people) {
      try {
        person.join();
      } catch (InterruptedException stopped) {
        Thread.currentThread().interrupt();
      }
    }
  }

  private void unique(Score score, String list, String place) {
    Map<String, Integer> seen = new HashMap<>();
    api.get(list).body().forEach(one -> seen.merge(one.at(place).asString(), 1, Integer::sum));
    seen.forEach(
        (name, times) -> {
          score.acknowledge();
          if (times > 1) {
            score.lose("the name %s stands %d times in %s".formatted(name, times, list));
          }
        });
  }
}
