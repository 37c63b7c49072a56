package org.opentrellis.torture;

import tools.jackson.databind.JsonNode;

/**
 * News that goes out by itself while the application is killed: one piece is posted, and every day
 * is a moment at which it could go. It goes once, to everybody on the list.
 */
final class NewsOrdeal {
  /** Of those who were to get it, some unsubscribe or die before it comes to them. */
  private static final double LEAST_OF_ALL = 0.9;

  private static final String LETTER =
      """
      {"name": "News of the day", "message": "%s",
       "who": {"kind": "those", "who": {"kind": "onList", "list": "Newcomers"}}, "butNot": null,
       "notInside": [], "going": null, "overHours": 0, "subjects": null, "text": null,
       "onceMore": null, "sender": null}
      """;

  private final Score score;
  private long series;
  private long readers;

  NewsOrdeal(Score score) {
    this.score = score;
  }

  /** Turns it on, and posts something. */
  void begin(Api api) {
    JsonNode message = ok(api.post("/api/message-starters/news/messages", "{}"), "write a letter");
    JsonNode made = ok(api.post("/api/news", "{\"name\": \"News of the day\"}"), "begin news");
    series = made.at("/id").asLong();
    ok(
        api.put(
            "/api/news/" + series,
            """
            {"version": %d, "series": {"letter": %s, "source": "/site/news.atom",
             "rhythm": {"kind": "daily", "at": "12:00"}}}
            """
                .formatted(
                    made.at("/version").asInt(), LETTER.formatted(message.at("/id").asString()))),
        "write news");
    JsonNode saved = api.get("/api/news/" + series).body();
    readers = saved.at("/people").asLong();
    ok(
        api.put(
            "/api/news/" + series + "/on",
            "{\"version\": %d, \"people\": %d, \"evenSoMany\": true}"
                .formatted(saved.at("/version").asInt(), readers)),
        "turn news on");
    api.send(
        "POST",
        "/site/news",
        "application/x-www-form-urlencoded",
        "title=Wax+is+melted&words=Bring+your+frames.");
  }

  private static JsonNode ok(Api.Answer answer, String what) {
    if (answer.status() >= 300) {
      throw new IllegalStateException("cannot " + what + ": " + answer.text());
    }
    return answer.body();
  }

  /** Once the clock has been turned by days. */
  void end(Api api) {
    score.acknowledge();
    long sent = 0;
    long got = 0;
    for (JsonNode issue : api.get("/api/news/" + series).body().at("/issues")) {
      if (issue.at("/outcome").asString().equals("SENT")) {
        sent++;
        got +=
            api.get("/api/newsletters/" + issue.at("/newsletter").asLong())
                .body()
                .at("/steps/0/sent")
                .asLong(0);
      }
    }
    if (sent != 1 || got < LEAST_OF_ALL * readers || got > readers) {
      score.lose("a piece of news to %d went to %d in %d issues".formatted(readers, got, sent));
    }
  }
}
