package org.opentrellis.torture;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * Has people go through an open journey, and mail go out to them, through many lives of the
 * application. Whoever it says is in must be in; their lives must lead to how they stand; what it
 * says was sent must lie in the inbox, and a second copy only where it says so itself.
 */
final class Living {
  private static final long DAY = 24 * 3600;
  private static final long PATIENCE_MILLIS = 300_000;

  /** Of those who were to get a newsletter, some unsubscribe or die before it comes to them. */
  private static final double LEAST_OF_ALL = 0.9;

  private static final Pattern KEY = Pattern.compile("<?t(\\d+)\\..*");

  private final Score score;
  private final int crowd;
  private final NewsOrdeal news;
  private final List<Long> putIn = new ArrayList<>();
  private long journey;
  private long newsletter;
  private long readers;
  private int people;

  /**
   * @param crowd how many simulated people come
   */
  Living(Score score, int crowd) {
    this.score = score;
    this.crowd = crowd;
    this.news = new NewsOrdeal(score);
  }

  /** Opens the journey, and has a crowd come over the next days. */
  void begin(Api api) {
    for (JsonNode one : api.get("/api/journeys/names").body()) {
      if (one.at("/name").asString().equals("First frames")) {
        journey = one.at("/id").asLong();
      }
    }
    int version = api.get("/api/journeys/" + journey).body().at("/version").asInt();
    expect(
        api.put(
            "/api/journeys/" + journey + "/state",
            "{\"version\": %d, \"state\": \"OPEN\", \"by\": null, \"finishBegun\": false}"
                .formatted(version)),
        "open a journey");
    expect(
        api.post(
            "/api/live/crowds",
            "{\"journeys\": [%d], \"people\": %d, \"days\": 2, \"seed\": 3}"
                .formatted(journey, crowd)),
        "let a crowd come");
    rule(api);
    newsletter(api);
    news.begin(api);
  }

  /** Acts once on each who is put on its list. */
  private void rule(Api api) {
    JsonNode rule =
        expect(
            api.post(
                "/api/rules",
                "{\"text\": \"when someone joins list Fair, tag seen\", \"name\": null}"),
            "keep a rule");
    expect(api.put("/api/rules/" + rule.at("/id").asLong() + "/on", "{}"), "turn a rule on");
  }

  /** Goes to all newcomers over an hour, while the clock goes on and is killed. */
  private void newsletter(Api api) {
    String message =
        api.get("/api/messages")
            .body()
            .valueStream()
            .filter(one -> one.at("/name").asString().equals("Choosing a kit"))
            .findFirst()
            .orElseThrow()
            .at("/id")
            .asString();
    JsonNode made =
        expect(api.post("/api/newsletters", "{\"name\": \"To newcomers\"}"), "begin one");
    newsletter = made.at("/id").asLong();
    String document =
        """
        {"name": "To newcomers", "message": "%s", "who": {"kind": "those", "who": {"kind": "onList", "list": "Newcomers"}}, "butNot": null,
         "notInside": [], "going": null, "overHours": 1, "subjects": null, "text": null,
         "onceMore": null, "sender": null}
        """
            .formatted(message);
    JsonNode saved =
        expect(
            api.put(
                "/api/newsletters/" + newsletter,
                "{\"newsletter\": %s, \"version\": %d}"
                    .formatted(document, made.at("/version").asInt())),
            "write a newsletter");
    expect(
        api.put(
            "/api/newsletters/" + newsletter + "/plan",
            "{\"version\": %d, \"now\": true, \"people\": %d, \"evenSoMany\": true}"
                .formatted(saved.at("/version").asInt(), saved.at("/people").asLong())),
        "send a newsletter");
    readers = saved.at("/people").asLong();
  }

  /** Puts some in by hand, and turns the clock on, which goes on behind the caller. */
  void goOn(Api api) {
    for (int n = 0; n < 5; n++) {
      long person =
          expect(
                  api.post(
                      "/api/people",
                      """
                      {"address": "keeper%d@example.com", "firstName": "Ida", "lastName": "Test",
                       "phone": null, "zone": "Europe/Berlin", "agreed": "said so"}
                      """
                          .formatted(++people)),
                  "add somebody")
              .at("/id")
              .asLong();
      expect(
          api.post("/api/live/journeys/" + journey + "/people", "{\"person\": " + person + "}"),
          "put somebody in");
      putOnList(api, person);
      putIn.add(person);
    }
    turnOn(api);
  }

  private void putOnList(Api api, long person) {
    JsonNode now = api.get("/api/people/" + person).body();
    expect(
        api.put(
            "/api/people/" + person,
            """
            {"version": %s, "firstName": "Ida", "lastName": "Test", "phone": null,
             "zone": "Europe/Berlin", "texts": null, "lists": ["Fair"], "tags": [], "fields": []}
            """
                .formatted(now.at("/version"))),
        "put somebody on a list");
  }

  private static void turnOn(Api api) {
    turnOn(api, DAY);
  }

  private static void turnOn(Api api, long seconds) {
    api.post(
        "/api/live/clock", "{\"seconds\": %d, \"to\": null, \"toNext\": null}".formatted(seconds));
  }

  /** Waits until the clock stands where it was turned to. */
  private static JsonNode rest(Api api) {
    long until = System.currentTimeMillis() + PATIENCE_MILLIS;
    JsonNode live = api.get("/api/live").body();
    while (!live.at("/clock/turning").isNull() && System.currentTimeMillis() < until) {
      Server.sleep(100);
      live = api.get("/api/live").body();
    }
    return live;
  }

  private JsonNode expect(Api.Answer answer, String what) {
    score.answered(answer.status(), what);
    if (!answer.isDone()) {
      score.lose(what + " was refused: " + answer.text());
    }
    return answer.body();
  }

  /** After a start: nobody is lost, and everybody stands where their lives lead. */
  void check(Api api) {
    for (long person : putIn) {
      score.acknowledge();
      JsonNode live = api.get("/api/live/people/" + person).body();
      if (!live.at("/happened").toString().contains("Came in.")) {
        score.lose("person %d, put in by hand: %s".formatted(person, live));
      }
    }
    score.acknowledge();
    JsonNode audit = api.post("/api/live/audits", "").body();
    if (!audit.at("/differences").isArray() || !audit.at("/differences").isEmpty()) {
      score.lose("lives do not lead to how people stand: " + audit);
    }
  }

  /** Lets it come to rest, and counts the mail. */
  void end(Api api) {
    // However little of a turn was done in each life, everybody has come then, and a night is over.
    rest(api);
    turnOn(api, 3 * DAY);
    JsonNode live = rest(api);
    check(api);
    Map<Long, Integer> copies = copies(api);
    letterIsGone(api);
    rulesHaveActed(api);
    news.end(api);
    long sent = 0;
    for (long person : everybody(api)) {
      for (JsonNode message : api.get("/api/live/people/" + person).body().at("/messages")) {
        if (message.at("/state").asString().equals("SENT")) {
          score.acknowledge();
          sent++;
          if (!copies.containsKey(message.at("/outbox").asLong())) {
            score.lose("mail that was sent is in no inbox: " + message);
          }
        }
      }
    }
    long twice = copies.values().stream().mapToLong(many -> many - 1).sum();
    if (twice > live.at("/mail/sentAgain").asLong()) {
      score.lose("%d second copies, %s said".formatted(twice, live.at("/mail/sentAgain")));
    }
    if (sent < crowd) {
      score.lose("only %d mails went out to %d people and more".formatted(sent, crowd));
    }
  }

  /** Whoever was to get it has it, or has left meanwhile; and nobody has it from a second visit. */
  private void letterIsGone(Api api) {
    score.acknowledge();
    JsonNode view = api.get("/api/newsletters/" + newsletter).body();
    long got = view.at("/steps/0/sent").asLong(0);
    if (!view.at("/phase").asString().equals("GONE") || got < LEAST_OF_ALL * readers) {
      score.lose(
          "a newsletter to %d went to %d and is %s".formatted(readers, got, view.at("/phase")));
    }
  }

  /** The rule acted once on each who was put on its list. */
  private void rulesHaveActed(Api api) {
    score.acknowledge();
    long acted = api.get("/api/rules").body().at("/0/acted").asLong();
    if (acted != putIn.size()) {
      score.lose("a rule acted %d times on %d people".formatted(acted, putIn.size()));
    }
  }

  /** How often each message came, by its number in the outbox. */
  private static Map<Long, Integer> copies(Api api) {
    Map<Long, Integer> copies = new HashMap<>();
    String before = "null";
    while (before != null) {
      JsonNode page =
          api.post("/api/inbox/pages", "{\"address\": \"\", \"before\": %s}".formatted(before))
              .body();
      for (JsonNode line : page.at("/items")) {
        JsonNode mail = api.get("/api/inbox/" + line.at("/id").asLong()).body();
        for (JsonNode header : mail.at("/headers")) {
          Matcher key = KEY.matcher(header.at("/value").asString());
          if (header.at("/name").asString().equalsIgnoreCase("Message-ID") && key.matches()) {
            copies.merge(Long.parseLong(key.group(1)), 1, Integer::sum);
          }
        }
      }
      before = page.at("/next").isNumber() ? page.at("/next").asString() : null;
    }
    return copies;
  }

  private static List<Long> everybody(Api api) {
    List<Long> all = new ArrayList<>();
    String after = "null";
    while (after != null) {
      JsonNode page =
          api.post(
                  "/api/people/pages",
                  "{\"find\": \"\", \"search\": \"\", \"order\": \"NEWEST\", \"after\": %s}"
                      .formatted(after))
              .body();
      page.at("/items").forEach(one -> all.add(one.at("/id").asLong()));
      after = page.at("/next").isNumber() ? page.at("/next").asString() : null;
    }
    return all;
  }
}
