package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Readers of mail choose what they get, and others try what they should not. */
@Tag("thorough")
class ChoicesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final PublicVisitor VISITOR = new PublicVisitor(APP::address);

  @BeforeAll
  static void offer() {
    String page =
        """
        {"page": {"title": "What would you like?", "lists": ["Newcomers", "Season letters"],
          "asks": [{"kind": "firstName", "required": true},
            {"kind": "field", "field": "hives", "words": "How many hives?", "required": false}],
          "howOften": true}, "version": 0}
        """;
    assertThat(APP.put("/api/choices-page", page).status()).isEqualTo(200);
    assertThat(APP.put("/api/choices-page", page).status())
        .as("somebody else was first")
        .isEqualTo(409);
    WORKSHOP.open(
        """
        other: Mails newcomers
        Starts when someone joins list "Newcomers"
        Send "Your hive planner is here"
        Wait 1 hour
        Send "Pick your first hive"
        Wait 1 hour
        Send "What a season costs"
        """);
  }

  /** Somebody who was mailed, and the token of the mail. */
  private record Reader(long id, String address, String token) {
    String choices() {
      return "/c/" + token;
    }

    String record() {
      return APP.get("/api/people/" + id).body().toString();
    }
  }

  private static Reader reader(String address) {
    long id = WORKSHOP.onList(address, "Newcomers", "Inner circle");
    WORKSHOP.turn(60);
    JsonNode mail = WORKSHOP.mails(address).getFirst();
    String link = mail.get("links").get(0).get("address").asString();
    return new Reader(id, address, link.split("/r/")[1].split("/")[0]);
  }

  @Test
  void whatTheyChooseIsKeptAndTheRestStays() {
    Reader reader = reader("chooser@example.com");
    HttpResponse<String> page = VISITOR.get(reader.choices());
    assertThat(page.statusCode()).as(page.body()).isEqualTo(200);
    assertThat(page.body())
        .contains("What would you like?", "value=\"Ida\"", "Season letters", "c\u2026@example.com")
        .doesNotContain("Inner circle")
        .doesNotContain("<script");
    HttpResponse<String> kept =
        VISITOR.post(
            reader.choices(),
            Map.of("first-name", "Imke", "field-hives", "7", "list", "Season letters"));
    assertThat(kept.body()).contains("Kept. Thank you.", "value=\"Imke\"", "value=\"7\"");
    assertThat(reader.record())
        .contains("Imke", "Season letters", "Inner circle", "by their own choice")
        .contains("Was taken off list");
    WORKSHOP.auditIsClean();
  }

  @Test
  void nothingIsKeptOfWhatIsNotRight() {
    Reader reader = reader("typist@example.com");
    String before = reader.record();
    HttpResponse<String> answer =
        VISITOR.post(
            reader.choices(),
            Map.of("first-name", "", "field-hives", "\"><script>", "list", "Season letters"));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("first-name-problem").doesNotContain("<script>");
    assertThat(reader.record()).isEqualTo(before);
    VISITOR.post(
        reader.choices(),
        Map.of("first-name", "Ida", "list", "Inner circle", "how-often", "NEVER", "mailing", "x"));
    assertThat(reader.record()).contains("Inner circle").contains("AS_IT_COMES");
  }

  /** Not by a page of somebody else's, and not in a frame of theirs. */
  @Test
  void nobodyElsesPageChoosesForThem() {
    Reader reader = reader("clicked@example.com");
    HttpResponse<String> page = VISITOR.get(reader.choices());
    assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'", "frame-ancestors 'none'");
    assertThat(page.headers().firstValue("Set-Cookie")).isEmpty();
    assertThat(page.headers().firstValue("Cache-Control")).hasValue("no-store");
    String before = reader.record();
    HttpResponse<String> foreign =
        VISITOR.send(
            VISITOR
                .to(reader.choices())
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Origin", "https://shop.example.com")
                .POST(HttpRequest.BodyPublishers.ofString("first-name=Eve")));
    assertThat(foreign.statusCode()).isEqualTo(403);
    assertThat(reader.record()).isEqualTo(before);
  }

  /** Guessed, another's, changed by a letter, of a kind that is none. */
  @Test
  void aTokenOfNoMailLeadsNowhere() {
    Reader reader = reader("holder@example.com");
    String token = reader.token();
    char last = token.charAt(token.length() - 1);
    for (String guess :
        List.of(
            token.substring(0, token.length() - 1) + (last == 'A' ? 'E' : 'A'),
            token.toUpperCase(Locale.ROOT),
            "1",
            "AAAAAAAAAAAAAAAAAAAAAA",
            "..%2F..%2Fapi",
            "%27%20or%201=1")) {
      String before = reader.record();
      for (String place : List.of("/c/", "/u/")) {
        assertThat(VISITOR.get(place + guess).statusCode()).as(place + guess).isIn(400, 404);
        assertThat(VISITOR.post(place + guess, Map.of("first-name", "Eve")).statusCode())
            .as(place + guess)
            .isIn(400, 404);
      }
      assertThat(reader.record()).isEqualTo(before);
    }
  }

  @Test
  void lookingAtItStopsNothingAndTheButtonDoes() {
    Reader reader = reader("leaver@example.com");
    assertThat(VISITOR.get("/u/" + reader.token()).body()).contains("no more email");
    assertThat(reader.record()).contains("MAY_BE_MAILED");
    assertThat(VISITOR.post("/u/" + reader.token(), Map.of("List-Unsubscribe", "One-Click")).body())
        .contains("You get no more email from us.");
    assertThat(reader.record()).contains("UNSUBSCRIBED");
    assertThat(VISITOR.get(reader.choices()).body()).contains("You get no email from us.");
    WORKSHOP.turn(3 * 3600);
    assertThat(WORKSHOP.mails(reader.address())).hasSize(1);
    VISITOR.post(reader.choices(), Map.of("first-name", "Ida", "list", "Newcomers"));
    assertThat(reader.record()).as("a page of choices brings nobody back").contains("UNSUBSCRIBED");
  }

  /** More waits: nobody gets more than they want, and nothing is lost. */
  @Test
  void whoWantsOneEmailADayGetsNoMore() {
    Reader reader = reader("sparing@example.com");
    VISITOR.post(
        reader.choices(),
        Map.of("first-name", "Ida", "list", "Newcomers", "how-often", "ONE_A_DAY"));
    WORKSHOP.turn(4 * 3600);
    assertThat(WORKSHOP.mails(reader.address())).hasSize(1);
    assertThat(WORKSHOP.live(reader.id()).toString()).contains("at most one email a day");
    WORKSHOP.turn(20 * 3600 + 60);
    assertThat(WORKSHOP.mails(reader.address())).hasSize(2);
    WORKSHOP.turn(24 * 3600 + 60);
    assertThat(WORKSHOP.mails(reader.address())).hasSize(3);
    WORKSHOP.auditIsClean();
  }

  @Test
  void whoWasForgottenHasNoPage() {
    Reader reader = reader("forgotten@example.com");
    assertThat(APP.delete("/api/people/" + reader.id()).status()).isLessThan(300);
    assertThat(VISITOR.get(reader.choices()).statusCode()).isEqualTo(404);
    assertThat(
            APP.bean(JdbcTemplate.class)
                .queryForObject(
                    "select count(*) from person where how_often <> 'AS_IT_COMES' and id = ?",
                    Integer.class,
                    reader.id()))
        .isZero();
  }
}
