package org.opentrellis.app.news;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.app.site.SiteNews;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.news.Rhythm;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.Readers;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** News goes out on its rhythm: what is new, once, to whom it is meant for, or nothing. */
class NewsOnRhythmTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final Letterbox BOX = new Letterbox(APP);
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final MessageId WEEK = new MessageId("the-week");
  private static final long DAY = Letterbox.DAY;
  private static int posts;

  @BeforeAll
  static void aMessageHasAListOfNews() {
    BOX.withNews(WEEK.value(), "The week");
  }

  private static LocalDateTime local() {
    return LocalDateTime.ofInstant(Instant.ofEpochSecond(BOX.now()), Letterbox.BERLIN);
  }

  /** Every day, in an hour from now for the first time. */
  private static NewsSeries daily(String name, String list) {
    return series(name, list, NewsSeries.SITE, new Rhythm.Daily(inAnHour()));
  }

  private static LocalTime inAnHour() {
    LocalTime at = local().toLocalTime().plusHours(1);
    return LocalTime.of(at.getHour(), at.getMinute());
  }

  private static NewsSeries series(String name, String list, String source, Rhythm rhythm) {
    return new NewsSeries(
        Newsletter.begun(name)
            .sending(WEEK)
            .to(new Readers.Those(new Condition.OnList(new ListName(list)))),
        source,
        rhythm);
  }

  private static long kept(NewsSeries series) {
    Answer added = APP.post("/api/news", Json.write(Map.of("name", series.letter().name())));
    assertThat(added.status()).as("%s", added.body()).isEqualTo(201);
    long id = added.body().get("id").asLong();
    Answer saved = save(id, series);
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    return id;
  }

  private static Answer save(long id, NewsSeries series) {
    return APP.put(
        "/api/news/" + id,
        "{\"version\": %d, \"series\": %s}"
            .formatted(view(id).get("version").asInt(), Json.write(Documents.write(series))));
  }

  private static JsonNode view(long id) {
    return APP.get("/api/news/" + id).body();
  }

  private static String go(long id) {
    JsonNode view = view(id);
    return "{\"version\": %d, \"people\": %d, \"evenSoMany\": true}"
        .formatted(view.get("version").asInt(), view.get("people").asLong());
  }

  private static long on(NewsSeries series) {
    long id = kept(series);
    Answer on = APP.put("/api/news/" + id + "/on", go(id));
    assertThat(on.status()).as("%s", on.body()).isEqualTo(200);
    assertThat(on.body().get("on").asBoolean()).isTrue();
    return id;
  }

  private static void off(long id) {
    assertThat(APP.delete("/api/news/" + id + "/on").status()).isEqualTo(200);
  }

  /** Posts something on the site now; its title is nobody else's. */
  private static String post() {
    String title = "Piece " + ++posts + ".";
    APP.bean(SiteNews.class).post(title, "What it says.", Instant.ofEpochSecond(BOX.now()));
    return title;
  }

  private static List<String> outcomes(long id) {
    return view(id).get("issues").valueStream().map(one -> one.get("outcome").asString()).toList();
  }

  private static String says(long id) {
    return view(id).at("/issues/0/says").asString();
  }

  private static JsonNode look(long id) {
    Answer look =
        APP.post(
            "/api/news/" + id + "/looks",
            "{\"series\": %s}".formatted(Json.write(view(id).get("series"))));
    assertThat(look.status()).as("%s", look.body()).isEqualTo(200);
    return look.body();
  }

  @Test
  void eachIssueHoldsWhatIsNewAndWithoutNewsNothingGoes() {
    WORKSHOP.onList("reader@example.com", "Daily");
    WORKSHOP.onList("not@example.com", "Elsewhere");
    String before = post();
    WORKSHOP.turn(2 * DAY);
    long id = on(daily("Daily news", "Daily"));
    assertThat(look(id).toString()).as("older than a day").doesNotContain(before);
    String first = post();
    JsonNode look = look(id);
    assertThat(look.at("/entries/0/title").asString()).isEqualTo(first);
    assertThat(look.get("whoSays").asString()).isEqualTo(view(id).get("whoSays").asString());
    assertThat(look.get("html").asString()).contains(first).doesNotContain(before);
    assertThat(BOX.mailsTo("reader@example.com")).isZero();

    WORKSHOP.turn(DAY);
    List<JsonNode> mails = WORKSHOP.mails("reader@example.com");
    assertThat(mails).hasSize(1);
    assertThat(mails.getFirst().toString()).contains(first).doesNotContain(before);
    assertThat(BOX.mailsTo("not@example.com")).isZero();

    WORKSHOP.turn(DAY);
    assertThat(BOX.mailsTo("reader@example.com")).as("nothing was new").isOne();

    String a = post();
    String b = post();
    String c = post();
    assertThat(look(id).get("leftOut").asInt()).as("two are shown at most").isOne();
    WORKSHOP.turn(DAY);
    mails = WORKSHOP.mails("reader@example.com");
    assertThat(mails).hasSize(2);
    assertThat(mails.getFirst().toString()).contains(c, b).doesNotContain(first);
    assertThat(mails.getFirst().toString()).doesNotContain(a);
    assertThat(outcomes(id)).containsExactly("SENT", "NOTHING", "SENT", "BEGUN");
    assertThat(says(id)).isEqualTo("2 pieces of news to 1 person.");
    long issue = view(id).at("/issues/0/newsletter").asLong();
    assertThat(BOX.phase(issue)).isEqualTo("GONE");
    off(id);
    post();
    WORKSHOP.turn(2 * DAY);
    assertThat(BOX.mailsTo("reader@example.com")).as("it is off").isEqualTo(2);
    WORKSHOP.auditIsClean();
  }

  @Test
  void oneIsSkippedAndOneSentEarlyAndNothingComesTwice() throws Exception {
    WORKSHOP.onList("early@example.com", "Early");
    WORKSHOP.turn(2 * DAY);
    long id = on(daily("Early news", "Early"));
    String waits = post();
    assertThat(APP.put("/api/news/" + id + "/skip", "{\"skips\": true}").status()).isEqualTo(200);
    WORKSHOP.turn(DAY);
    assertThat(outcomes(id)).startsWith("SKIPPED");
    assertThat(view(id).get("skipsNext").asBoolean()).as("one alone").isFalse();
    assertThat(BOX.mailsTo("early@example.com")).isZero();

    // Pressed twice at the same moment, in one second with what is due.
    String go = go(id);
    List<Future<Integer>> answers = new ArrayList<>();
    CountDownLatch together = new CountDownLatch(4);
    try (var pool = Executors.newFixedThreadPool(4)) {
      for (int n = 0; n < 4; n++) {
        answers.add(
            pool.submit(
                () -> {
                  together.countDown();
                  together.await();
                  return APP.post("/api/news/" + id + "/issues", go).status();
                }));
      }
    }
    int sent = 0;
    for (Future<Integer> answer : answers) {
      sent += answer.get() == 200 ? 1 : 0;
    }
    assertThat(sent).isOne();
    WORKSHOP.turn(300);
    List<JsonNode> mails = WORKSHOP.mails("early@example.com");
    assertThat(mails).hasSize(1);
    assertThat(mails.getFirst().toString()).contains(waits);
    Answer again = APP.post("/api/news/" + id + "/issues", go(id));
    assertThat(again.status()).isEqualTo(409);
    assertThat(again.body().toString()).contains("Nothing is new since the last issue");
    WORKSHOP.turn(DAY);
    assertThat(BOX.mailsTo("early@example.com")).isOne();
    off(id);
  }

  @Test
  void whenManyMoreWouldGetItItWaitsForSomebodyToLook() {
    WORKSHOP.onList("one@example.com", "Growing");
    WORKSHOP.turn(2 * DAY);
    long id = on(daily("Growing news", "Growing"));
    for (int n = 0; n < 30; n++) {
      WORKSHOP.onList("more%d@example.com".formatted(n), "Growing");
    }
    String news = post();
    WORKSHOP.turn(DAY);
    assertThat(outcomes(id)).startsWith("WAITS");
    assertThat(says(id)).contains("31 people would get it, and more than 22 are looked at first.");
    assertThat(BOX.mailsTo("one@example.com")).isZero();
    // Whoever looks at it and means it sends it, and the news stands in it.
    long issue = view(id).at("/issues/0/newsletter").asLong();
    Answer sent =
        BOX.plan(
            issue,
            order ->
                order
                    .replace("\"now\": false", "\"now\": true")
                    .replace("\"evenSoMany\": false", "\"evenSoMany\": true"));
    assertThat(sent.status()).as("%s", sent.body()).isEqualTo(200);
    WORKSHOP.turn(300);
    assertThat(WORKSHOP.mails("one@example.com").getFirst().toString()).contains(news);
    off(id);
  }

  @Test
  void aSourceThatCannotBeReadIsAskedAgainAndThenItsNewsWaits() throws IOException {
    AtomicBoolean works = new AtomicBoolean(true);
    HttpServer web = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
    web.createContext(
        "/feed",
        exchange -> {
          Instant now = Instant.ofEpochSecond(BOX.now());
          byte[] feed =
              """
              <feed xmlns="http://www.w3.org/2005/Atom"><title>t</title><id>t</id><updated>%s</updated>
              <entry><title>From &lt;b&gt; the web</title><id>e1</id><updated>%s</updated>
              <link href="https://hive.example/1"/><summary>So.</summary></entry></feed>
              """
                  .formatted(now, now)
                  .getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(works.get() ? 200 : 503, works.get() ? feed.length : -1);
          if (works.get()) {
            exchange.getResponseBody().write(feed);
          }
          exchange.close();
        });
    web.start();
    try {
      String source = "http://127.0.0.1:%d/feed".formatted(web.getAddress().getPort());
      WORKSHOP.onList("web@example.com", "Web");
      works.set(false);
      long refused = kept(series("No news", "Web", source, new Rhythm.Daily(inAnHour())));
      Answer answer = APP.put("/api/news/" + refused + "/on", go(refused));
      assertThat(answer.status()).isEqualTo(409);
      assertThat(answer.body().toString()).contains("the source answers with the status 503");

      works.set(true);
      long id = on(series("Web news", "Web", source, new Rhythm.Daily(inAnHour())));
      works.set(false);
      WORKSHOP.turn(3 * Letterbox.HOUR);
      assertThat(outcomes(id)).as("asked again for some hours").containsExactly("BEGUN");
      WORKSHOP.turn(6 * Letterbox.HOUR);
      assertThat(outcomes(id)).containsExactly("FAILED", "BEGUN");
      assertThat(says(id)).contains("the source answers with the status 503", "waits for the next");
      assertThat(BOX.mailsTo("web@example.com")).isZero();
      works.set(true);
      WORKSHOP.turn(DAY);
      List<JsonNode> mails = WORKSHOP.mails("web@example.com");
      assertThat(mails).hasSize(1);
      assertThat(mails.getFirst().get("html").asString())
          .contains("From &lt;b&gt; the web")
          .doesNotContain("From <b>");
      off(id);
    } finally {
      web.stop(0);
    }
  }

  /** The machine was off for a night: nobody is mailed in the morning what was for the evening. */
  @Test
  void whatIsTooLateDoesNotGoAndWhatIsABitLateDoes() {
    WORKSHOP.onList("late@example.com", "Late");
    WORKSHOP.turn(2 * DAY);
    long id = on(daily("Late news", "Late"));
    String news = post();
    wasOff(id, 13);
    assertThat(says(id)).contains("was not running");
    assertThat(outcomes(id)).startsWith("FAILED");
    assertThat(view(id).get("nextAt").asLong()).isGreaterThan(BOX.now());

    wasOff(id, 2);
    assertThat(outcomes(id)).startsWith("SENT", "FAILED");
    WORKSHOP.turn(300);
    assertThat(WORKSHOP.mails("late@example.com")).hasSize(1);
    assertThat(WORKSHOP.mails("late@example.com").getFirst().toString()).contains(news);
    off(id);
  }

  /** An issue was for so many hours ago; the application looks at it within some seconds. */
  private static void wasOff(long id, int hours) {
    long at = BOX.now() - hours * Letterbox.HOUR;
    int before = outcomes(id).size();
    APP.bean(JdbcTemplate.class)
        .update(
            "update news_series set next_at = ?, due_at = ? where id = ?",
            at,
            at - NewsAppointments.BEFORE,
            id);
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (outcomes(id).size() == before && System.nanoTime() < end) {
      Thread.onSpinWait();
    }
  }

  @Test
  void whatIsOnStaysAsItIsAndFollowsNames() {
    WORKSHOP.onList("named@example.com", "Named");
    long id = on(daily("Named news", "Named"));
    Answer saved = save(id, daily("Other news", "Named"));
    assertThat(saved.status()).isEqualTo(409);
    assertThat(saved.body().toString()).contains("Turn it off to change it");
    assertThat(APP.delete("/api/news/" + id).body().toString()).contains("turn it off first");
    assertThat(APP.get("/api/calendar?days=7").body().toString())
        .contains("\"kind\":\"NEWS\"", "Named news");
    assertThat(APP.text("/api/calendar/file.ics")).contains("Named news (if there is news)");
    JsonNode list =
        APP.get("/api/names")
            .body()
            .valueStream()
            .filter(one -> one.get("name").asString().equals("Named"))
            .findFirst()
            .orElseThrow();
    assertThat(list.get("usedBy").toString()).contains("\"what\":\"NEWS\"", "Named news");
    Answer renamed =
        APP.put(
            "/api/names/" + list.get("id").asLong(),
            """
            {"kind": "LIST", "name": "Renamed", "about": null, "group": null, "fieldType": null,
             "choices": [], "category": null, "priceCents": null}
            """);
    assertThat(renamed.status()).as("%s", renamed.body()).isEqualTo(200);
    assertThat(view(id).get("whoSays").asString()).contains("Renamed");
    assertThat(view(id).get("people").asLong()).isOne();
    off(id);
    assertThat(APP.delete("/api/news/" + id).status()).isEqualTo(204);
    assertThat(APP.get("/api/news").body().toString()).doesNotContain("Named news");
  }

  @Test
  void whatStandsInTheWayIsSaid() {
    long id = kept(series("Unfinished", "Nobody", " ", new Rhythm.Daily(inAnHour())));
    Answer on = APP.put("/api/news/" + id + "/on", go(id));
    assertThat(on.body().toString()).contains("Say where the news comes from.");
    assertThat(APP.post("/api/news", "{\"name\": \"Unfinished\"}").status()).isEqualTo(409);
    assertThat(APP.post("/api/news/" + id + "/issues", go(id)).body().toString())
        .contains("Say where the news comes from.");
    assertThat(APP.put("/api/news/" + id + "/skip", "{\"skips\": true}").body().toString())
        .contains("no issue comes that could be skipped");
  }

  /** The feed stays one whatever is posted, and a source is never our fault. */
  @Test
  void whatCannotStandInAFeedIsLeftOut() {
    String title = "Piece \u0000\u0008\uFFFE\uD800with noise";
    APP.bean(SiteNews.class).post(title, "\u001BWords.", Instant.ofEpochSecond(BOX.now()));
    assertThat(APP.text("/site/news.atom")).contains("Piece with noise", "Words.");
  }

  /** A list of news in anything that is no issue shows nothing, least of all an example. */
  @Test
  void nobodyGetsAnExampleOfNews() {
    WORKSHOP.onList("plain@example.com", "Plain");
    BOX.planned(BOX.toList("No issue", "Plain").sending(WEEK));
    WORKSHOP.turn(2 * Letterbox.HOUR);
    assertThat(WORKSHOP.mails("plain@example.com").getFirst().toString())
        .doesNotContain("A piece of news");
  }
}
