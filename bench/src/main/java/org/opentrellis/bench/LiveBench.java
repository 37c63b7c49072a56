package org.opentrellis.bench;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Prints over HTTP how fast journeys run that have many people inside, and what it takes to keep
 * what happened: {@code LiveBench ADDRESS DATA-FOLDER [--quick]}, of an application with the demo's
 * journeys. Simulated people come, and the clock is turned on.
 */
public final class LiveBench {
  private static final long DAY = 24 * 3600;
  private static final int MANY = 5_000;
  private static final int FEW = 1_500;
  private static final int DAYS = 7;
  private static final int PAUSE_MILLIS = 1_000;

  private static final List<String> WITH_MAIL =
      List.of("First frames", "Through the season", "Left on the bench", "Membership turns over");

  /** Turns and nothing else: a wait a day, and a tag now and then. */
  private static final String WITHOUT_MAIL =
      """
      {
        "version": 4,
        "journey": {
          "name": "Nothing but turns",
          "purpose": "NURTURE",
          "state": "DRAFT",
          "triggers": [{"kind": "joinsList", "list": "Newcomers"}],
          "reEntry": {"kind": "never"},
          "body": [
            {"kind": "wait", "id": "one", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
            {"kind": "change", "id": "tag", "changes": [{"kind": "addTag", "tag": "new-keeper"}]},
            {"kind": "wait", "id": "two", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
            {"kind": "wait", "id": "three", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
            {"kind": "change", "id": "again", "changes": [{"kind": "addTag", "tag": "seen-it"}]},
            {"kind": "wait", "id": "four", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}},
            {"kind": "wait", "id": "five", "rule": {"kind": "for", "amount": {"count": 1, "unit": "DAYS"}}}
          ]
        }
      }
      """;

  private final Asking asking;
  private final Path database;
  private final int each;

  private LiveBench(Asking asking, Path database, int each) {
    this.asking = asking;
    this.database = database;
    this.each = each;
  }

  public static void main(String[] arguments) throws Exception {
    boolean quick = List.of(arguments).contains("--quick");
    LiveBench bench =
        new LiveBench(
            new Asking(URI.create(arguments[0])),
            Path.of(arguments[1], "trellis.mv.db"),
            quick ? FEW : MANY);
    System.out.printf(
        "%n%,d people in each of four journeys; java %s, %d processors%n",
        bench.each, System.getProperty("java.version"), Runtime.getRuntime().availableProcessors());
    bench.withoutMail();
    bench.withMail();
    bench.kept();
  }

  private void withoutMail() throws Exception {
    ObjectNode file = JsonNodeFactory.instance.objectNode();
    file.put("text", WITHOUT_MAIL).put("keep", true).putArray("overwrite");
    long journey = asking.post("/api/imports", file).get("id").asLong();
    open(journey);
    for (int crowd = 0; crowd < WITH_MAIL.size(); crowd++) {
      come(journey, crowd);
    }
    days("turns without mail");
  }

  private void withMail() throws Exception {
    JsonNode names = asking.get("/api/journeys/names");
    for (int n = 0; n < WITH_MAIL.size(); n++) {
      String name = WITH_MAIL.get(n);
      long journey =
          names
              .valueStream()
              .filter(one -> one.get("name").asString().equals(name))
              .findFirst()
              .orElseThrow()
              .get("id")
              .asLong();
      open(journey);
      come(journey, n);
    }
    days("with mail over SMTP");
  }

  private void open(long journey) throws IOException, InterruptedException {
    JsonNode view = asking.get("/api/journeys/" + journey);
    ObjectNode order = JsonNodeFactory.instance.objectNode();
    order.set("version", view.get("version"));
    order.put("state", "OPEN").putNull("by").put("finishBegun", false);
    asking.put("/api/journeys/%d/state".formatted(journey), order);
  }

  private void come(long journey, long seed) throws IOException, InterruptedException {
    ObjectNode order = JsonNodeFactory.instance.objectNode();
    ArrayNode journeys = order.putArray("journeys");
    journeys.add(journey);
    order.put("people", each).put("days", 2).put("seed", seed);
    asking.post("/api/live/crowds", order);
  }

  /** Turns the clock on, a day at a time, and asks for screens meanwhile. */
  private void days(String what) throws Exception {
    System.out.printf(
        "%n%-24s %8s %8s %8s %9s %9s %13s%n",
        what, "turns", "mails", "seconds", "turns/s", "mails/s", "slowest, ms");
    long turns = 0;
    long mails = 0;
    long millis = 0;
    for (int day = 1; day <= DAYS; day++) {
      List<Double> screens = turn();
      JsonNode last = asking.get("/api/live").at("/clock/last");
      turns += last.get("turns").asLong();
      mails += last.get("messages").asLong();
      millis += last.get("millis").asLong();
      told(
          "day " + day,
          last.get("turns").asLong(),
          last.get("messages").asLong(),
          last.get("millis").asLong(),
          screens);
    }
    told("all", turns, mails, millis, List.of());
  }

  private static void told(String what, long turns, long mails, long millis, List<Double> screens) {
    double seconds = Math.max(1, millis) / 1000.0;
    System.out.printf(
        Locale.ROOT,
        "%-24s %8d %8d %8.1f %9.0f %9.0f %13s%n",
        what,
        turns,
        mails,
        seconds,
        turns / seconds,
        mails / seconds,
        screens.isEmpty() ? "" : "%.0f".formatted(Collections.max(screens)));
  }

  /** How long screens took meanwhile, in milliseconds. */
  private List<Double> turn() throws Exception {
    asking.post(
        "/api/live/clock",
        JsonNodeFactory.instance.objectNode().put("seconds", DAY).putNull("to").putNull("toNext"));
    List<Double> screens = new ArrayList<>();
    while (true) {
      long begun = System.nanoTime();
      JsonNode live = asking.get("/api/live");
      screens.add((System.nanoTime() - begun) / 1e6);
      if (!live.at("/clock/failure").isNull()) {
        throw new IllegalStateException(live.at("/clock/failure").asString());
      }
      if (live.at("/clock/turning").isNull()) {
        return screens;
      }
      begun = System.nanoTime();
      asking.get("/api/people?find=are+on+list+Newcomers");
      screens.add((System.nanoTime() - begun) / 1e6);
      Thread.sleep(PAUSE_MILLIS);
    }
  }

  private void kept() throws Exception {
    long begun = System.nanoTime();
    JsonNode audited = asking.post("/api/live/audits", JsonNodeFactory.instance.objectNode());
    double seconds = (System.nanoTime() - begun) / 1e9;
    long lines = audited.get("lines").asLong();
    long mails = mailBytes();
    long size = Files.size(database);
    System.out.printf(
        Locale.ROOT,
        "%n%,d lives lived once more in %.1f s: %,d differ%n",
        audited.get("people").asLong(),
        seconds,
        audited.get("differences").size());
    System.out.printf(
        Locale.ROOT,
        "%,d happenings; the database has %,d kB, %,d kB of them mail in the inbox: without it %.2f kB for each happening, people and what simulated ones are going to do included%n",
        lines,
        size / 1000,
        mails / 1000,
        (size - mails) / 1000.0 / Math.max(1, lines));
  }

  private long mailBytes() throws IOException, InterruptedException {
    long bytes = 0;
    ObjectNode asked = JsonNodeFactory.instance.objectNode();
    asked.put("address", "").putNull("before");
    while (true) {
      JsonNode page = asking.post("/api/inbox/pages", asked);
      for (JsonNode line : page.get("items")) {
        bytes += line.get("bytes").asLong();
      }
      if (page.get("next").isNull()) {
        return bytes;
      }
      asked.set("before", page.get("next"));
    }
  }
}
