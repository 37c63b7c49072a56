package org.opentrellis.app.letters;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Messages as somebody gets them: proofs, tests into the inbox, files, house style, findings. */
class LettersApiTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(40);

  private static JsonNode manuscript(String id) {
    return APP.get("/api/messages/" + id).body().get("manuscript");
  }

  private static JsonNode proof(JsonNode manuscript, String person, String made) {
    Answer answer =
        APP.post(
            "/api/proofs",
            "{\"manuscript\": %s, \"person\": %s, \"made\": %s, \"dark\": false}"
                .formatted(manuscript, person, made));
    assertThat(answer.status()).isEqualTo(200);
    return answer.body();
  }

  private static HttpResponse<byte[]> raw(String method, String path, byte[] body)
      throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(APP.address() + path))
                .header("Content-Type", "application/octet-stream")
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
                .build(),
            HttpResponse.BodyHandlers.ofByteArray());
  }

  private static byte[] picture() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(20, 10, BufferedImage.TYPE_INT_RGB), "png", bytes);
    return bytes.toByteArray();
  }

  @Test
  void aProofIsWhatThatPersonSees() {
    JsonNode planner = manuscript("your-hive-planner-is-here");
    JsonNode nobody = proof(planner, "null", "null");
    assertThat(nobody.get("subject").asString()).isEqualTo("Your hive planner, keeper");
    assertThat(nobody.get("plain").asString()).startsWith("Three pale hives in clover");
    assertThat(nobody.at("/passages/0/holds").asBoolean()).isFalse();
    assertThat(nobody.at("/passages/0/why").asString())
        .isEqualTo("only if they are on list Members");
    String passage = nobody.at("/passages/0/part").asString();
    JsonNode made =
        proof(
            planner,
            "null",
            "{\"firstName\": \"Tove <b>\", \"lastName\": \"\", \"fields\": {}, \"holding\": [\"%s\"]}"
                .formatted(passage));
    assertThat(made.get("subject").asString()).isEqualTo("Your hive planner, Tove <b>");
    assertThat(made.get("html").asString())
        .contains("Tove &lt;b&gt;")
        .contains("As a member you get");
    JsonNode known =
        APP.post(
                "/api/people/pages",
                "{\"find\": \"are on list Members\", \"search\": \"\", \"order\": \"NEWEST\", \"after\": null}")
            .body();
    JsonNode member = proof(planner, known.at("/items/0/id").toString(), "null");
    assertThat(member.at("/passages/0/holds").asBoolean()).isTrue();
  }

  @Test
  void aTestComesToTheInboxAndItsLinksLeadWhereTheMessageSaid()
      throws IOException, InterruptedException {
    Answer sent =
        APP.post(
            "/api/messages/your-hive-planner-is-here/tests",
            "{\"person\": null, \"made\": null, \"to\": \"Ida.Test@example.com\"}");
    assertThat(sent.status()).isEqualTo(200);
    assertThat(sent.body().at("/mails/0/subject").asString())
        .isEqualTo("Your hive planner, keeper");
    JsonNode page =
        APP.post("/api/inbox/pages", "{\"address\": \"ida.test@example.com\", \"before\": null}")
            .body();
    assertThat(page.get("items")).hasSize(1);
    assertThat(page.at("/items/0/millis").asLong()).isBetween(0L, 60_000L);
    JsonNode mail = APP.get("/api/inbox/" + page.at("/items/0/id").asLong()).body();
    assertThat(mail.get("headers").valueStream().map(one -> one.get("name").asString()))
        .contains("Message-ID", "List-Unsubscribe", "List-Unsubscribe-Post", "Subject", "Date");
    assertThat(mail.get("parts").valueStream().map(one -> one.get("type").asString()))
        .containsExactly("text/plain", "text/html");
    List<JsonNode> links = mail.get("links").valueStream().toList();
    assertThat(links).allMatch(one -> one.get("address").asString().contains("/r/"));
    JsonNode kits =
        links.stream()
            .filter(one -> one.get("words").asString().equals("Hive kits"))
            .findFirst()
            .orElseThrow();
    String address = kits.get("address").asString().replaceFirst("http://[^/]+", "");
    HttpResponse<byte[]> followed = raw("GET", address, new byte[0]);
    assertThat(followed.statusCode()).isEqualTo(302);
    assertThat(followed.headers().firstValue("Location"))
        .contains("https://ambercomb.example/shop/hives");
    // A token leads only where the message said, and nobody guesses one.
    assertThat(raw("GET", address.replaceFirst("/\\d+$", "/99"), new byte[0]).statusCode())
        .isEqualTo(404);
    assertThat(raw("GET", "/r/AAAAAAAAAAAAAAAAAAAAAA/0", new byte[0]).statusCode()).isEqualTo(404);
  }

  @Test
  void aMessageGoesOutAsMailPageAndText() throws IOException, InterruptedException {
    String eml =
        new String(
            raw("GET", "/api/messages/choosing-a-kit/mail.eml", new byte[0]).body(),
            StandardCharsets.US_ASCII);
    assertThat(eml).contains("Content-Type: multipart/alternative", "Subject: Which kit fits");
    HttpResponse<byte[]> page = raw("GET", "/api/messages/choosing-a-kit/page.html", new byte[0]);
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'none'", "sandbox")
        .doesNotContain("script-src");
    assertThat(APP.text("/api/messages/choosing-a-kit/text.txt"))
        .contains("1. Can you stand behind the hive");
  }

  @Test
  void filesAreKeptForTheirKindAndReplacedEverywhere() throws IOException, InterruptedException {
    HttpResponse<byte[]> kept = raw("POST", "/api/files?name=hill.png", picture());
    assertThat(kept.statusCode()).isEqualTo(201);
    String address = JSON.readTree(kept.body()).get("address").asString();
    HttpResponse<byte[]> shown = raw("GET", address, new byte[0]);
    assertThat(shown.headers().firstValue("Content-Type")).contains("image/png");
    assertThat(shown.headers().allValues("X-Content-Type-Options")).contains("nosniff");
    assertThat(shown.headers().firstValue("Cross-Origin-Resource-Policy")).contains("cross-origin");
    JsonNode replaced = JSON.readTree(raw("PUT", "/api/files/hill.png", picture()).body());
    assertThat(replaced.get("version").asInt()).isEqualTo(2);
    assertThat(replaced.get("address").asString()).isNotEqualTo(address);
    HttpResponse<byte[]> refused =
        raw(
            "POST",
            "/api/files?name=a.png",
            "<svg><script/></svg>".getBytes(StandardCharsets.UTF_8));
    assertThat(refused.statusCode()).isEqualTo(400);
    assertThat(JSON.readTree(refused.body()).get("detail").asString()).contains("are not kept");
    assertThat(raw("GET", "/files/..%2f..%2fetc%2fpasswd", new byte[0]).statusCode())
        .isIn(400, 404);
    HttpResponse<byte[]> planner = raw("GET", "/files/hive-planner.pdf", new byte[0]);
    assertThat(planner.headers().firstValue("Content-Disposition").orElse(""))
        .startsWith("attachment");
  }

  @Test
  void theHouseStyleTellsWhatIsHardToRead() {
    JsonNode seen = APP.get("/api/house-style").body();
    ObjectNode style = (ObjectNode) seen.get("style").deepCopy();
    ((ObjectNode) style.get("colours")).put("ink", "#CCCCCC");
    Answer look =
        APP.post("/api/house-style/looks", "{\"style\": %s, \"version\": 0}".formatted(style));
    assertThat(look.body().at("/told/0/sentence").asString())
        .isEqualTo("Text on paper: 1.6 to 1, which is too little: 4.5 is the least.");
    style.set("colours", seen.at("/style/colours").deepCopy());
    style.put("why", "Because.");
    String order = "{\"style\": %s, \"version\": %s}".formatted(style, seen.get("version"));
    assertThat(APP.put("/api/house-style", order).status()).isEqualTo(200);
    assertThat(APP.put("/api/house-style", order).status()).isEqualTo(409);
    assertThat(proof(manuscript("turns-today"), "null", "null").get("plain").asString())
        .contains("Because.");
    ((ObjectNode) style.get("colours")).put("ink", "red");
    Answer wrong = APP.put("/api/house-style", "{\"style\": %s, \"version\": 2}".formatted(style));
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.body().at("/problems/0/place").asString()).isEqualTo("/style/colours/ink");
  }

  /** The picture of the days that are left is in the colours of the house, and never stale. */
  @Test
  void theDaysLeftAreDrawnWhenTheyAreLookedAt() throws IOException, InterruptedException {
    HttpResponse<byte[]> drawn = raw("GET", "/o/days-left?until=2099-01-01T18:00", new byte[0]);
    assertThat(drawn.statusCode()).isEqualTo(200);
    assertThat(drawn.headers().firstValue("Cache-Control")).hasValue("no-store");
    BufferedImage picture = ImageIO.read(new ByteArrayInputStream(drawn.body()));
    String ground = APP.get("/api/house-style").body().at("/style/colours/button").asString();
    assertThat(picture.getRGB(picture.getWidth() / 2, 2) & 0xFFFFFF)
        .isEqualTo(Integer.parseInt(ground.substring(1), 16));
    assertThat(raw("GET", "/o/days-left?until=soon", new byte[0]).statusCode()).isEqualTo(400);
  }

  /** A plain text to go on with by hand is everybody's: it holds fields, not what one is called. */
  @Test
  void aPlainTextByHandBeginsWithFieldsAndLinks() {
    Answer begun =
        APP.post(
            "/api/messages/plain-text",
            "{\"manuscript\": %s}".formatted(manuscript("your-hive-planner-is-here")));
    assertThat(begun.status()).isEqualTo(200);
    JsonNode byHand = begun.body().get("manuscript");
    assertThat(byHand.at("/plain/blocks").toString()).contains("firstName", "hive-planner.pdf");
    String ida =
        proof(
                byHand,
                "null",
                "{\"firstName\": \"Ida\", \"lastName\": \"\", \"fields\": {}, \"holding\": []}")
            .get("plain")
            .asString();
    assertThat(ida).contains("Ida").doesNotContain("{");
  }

  /** A text is counted as it goes out: with how to stop, and with the longest that anybody has. */
  @Test
  void aTextSaysWhatItTakes() {
    JsonNode words = JSON.readTree("{\"words\": [%s, %s]}".formatted(plain("Frost "), FIRST));
    ObjectNode text = JSON.createObjectNode().put("kind", "text").put("voucher", false);
    text.set("words", words);
    text.set("links", JSON.createArrayNode());
    JsonNode seen = proof(text, "null", "null");
    assertThat(seen.get("plain").asString())
        .isEqualTo("Frost keeper\nAnswer STOP to get no more texts");
    assertThat(seen.get("from").asString()).startsWith("+4477");
    assertThat(seen.at("/text/segments").asInt()).isEqualTo(1);
    assertThat(seen.at("/text/price").asString()).isEqualTo("\u20ac0.07");

    text.set("words", JSON.readTree("{\"words\": [%s]}".formatted(plain("a".repeat(130)))));
    JsonNode longer = proof(text, "null", "null");
    assertThat(longer.at("/text/most").asInt()).isEqualTo(2);
    assertThat(longer.at("/text/price").asString()).isEqualTo("\u20ac0.14");
  }

  private static final String FIRST =
      "{\"kind\": \"field\", \"field\": {\"source\": {\"kind\": \"firstName\"}, \"fallback\": \"keeper\", \"format\": \"USUAL\"}, \"bold\": false, \"italic\": false, \"link\": null}";

  private static String plain(String words) {
    return "{\"kind\": \"words\", \"text\": \"%s\", \"bold\": false, \"italic\": false, \"link\": null}"
        .formatted(words);
  }

  @Test
  void aMessageWithErrorsForbidsOpeningWhatSendsIt() {
    JsonNode sheet = APP.get("/api/messages/quiet-what-changed").body();
    ObjectNode manuscript = (ObjectNode) sheet.get("manuscript").deepCopy();
    manuscript.set("parts", JSON.createArrayNode());
    String draft =
        "{\"name\": \"What has changed\", \"labels\": [\"quiet\"], \"manuscript\": %s, \"version\": %d}";
    Answer saved =
        APP.put(
            "/api/messages/quiet-what-changed/manuscript",
            draft.formatted(manuscript, sheet.get("version").asInt()));
    assertThat(saved.status()).isEqualTo(200);
    long journey =
        APP.get("/api/messages/quiet-what-changed/uses").body().at("/0/journey").asLong();
    JsonNode view = APP.get("/api/journeys/" + journey).body();
    Answer opened =
        APP.put(
            "/api/journeys/" + journey + "/state",
            "{\"version\": %d, \"state\": \"OPEN\", \"by\": \"Ida\"}"
                .formatted(view.get("version").asInt()));
    assertThat(opened.status()).isEqualTo(400);
    assertThat(opened.body().get("detail").asString())
        .contains("Message \u201cWhat has changed\u201d: Nothing is written in it yet.");
    // What was there before comes back, with what each save changed.
    JsonNode history = APP.get("/api/messages/quiet-what-changed/history").body();
    assertThat(history.at("/0/changes").toString()).contains("Have a look");
    JsonNode first = APP.get("/api/messages/quiet-what-changed/history/1").body();
    Answer back =
        APP.put(
            "/api/messages/quiet-what-changed/manuscript",
            draft.formatted(first.get("manuscript"), 2));
    assertThat(back.status()).isEqualTo(200);
    Answer lost =
        APP.put(
            "/api/messages/quiet-what-changed/manuscript",
            draft.formatted(first.get("manuscript"), 2));
    assertThat(lost.status()).isEqualTo(409);
    assertThat(lost.body().at("/current/version").asInt()).isEqualTo(3);
    assertThat(lost.body().at("/yours/manuscript/kind").asString()).isEqualTo("email");
  }

  @Test
  void theDemosMessagesHaveNothingToMend() {
    // Others of this class begin messages that no journey sends.
    for (JsonNode use : APP.get("/api/messages/uses").body()) {
      String id = use.get("message").asString();
      if (!id.equals("quiet-what-changed")) {
        Answer found =
            APP.post(
                "/api/messages/" + id + "/findings",
                "{\"manuscript\": %s}".formatted(manuscript(id)));
        assertThat(found.body().valueStream().map(one -> one.get("code").asString()))
            .as(id)
            .allMatch("same-subject"::equals);
      }
    }
  }

  @Test
  void everyStarterSaysWhyEachPartIsThere() {
    JsonNode starters = APP.get("/api/message-starters").body();
    assertThat(starters).hasSize(16);
    for (JsonNode starter : starters) {
      String name = starter.get("name").asString();
      assertThat(starter.get("reasons").size()).as(name).isGreaterThanOrEqualTo(2);
      Answer begun =
          APP.post("/api/message-starters/" + starter.get("id").asString() + "/messages", "");
      assertThat(begun.status()).isEqualTo(201);
      assertThat(begun.body().get("starter").asString()).isEqualTo(starter.get("id").asString());
      Answer found =
          APP.post(
              "/api/messages/" + begun.body().get("id").asString() + "/findings",
              "{\"manuscript\": %s}".formatted(starter.get("manuscript")));
      assertThat(found.body().toString()).as(name).doesNotContain("\"ERROR\"");
    }
  }

  @Test
  void aTypedPartIsReadWithWhatTheAccountHas() {
    Answer read =
        APP.post(
            "/api/parts/readings",
            "{\"text\": \"passage if on list Memb\", \"caret\": 23, \"id\": \"p9\"}");
    assertThat(read.body().get("completions").toString()).contains("Members");
    Answer wrong =
        APP.post(
            "/api/parts/readings",
            "{\"text\": \"button Open to file\", \"caret\": 19, \"id\": \"p9\"}");
    assertThat(wrong.body().at("/unclear/why").asString())
        .startsWith("Here stands the name of a file");
    assertThat(wrong.body().at("/unclear/from").asInt()).isEqualTo(19);
  }

  @Test
  void anHtmlMailBecomesAMessageAndWhatIsNotKeptIsTold() {
    String html =
        JSON.writeValueAsString(
            "<title>Spring</title><h1>Spring</h1><p>Hello <a href='https://ambercomb.example'>bees</a></p>"
                + "<script>x()</script><a class='button' href='https://ambercomb.example/kits'>Kits</a>");
    String order = "{\"name\": \"Brought in\", \"html\": %s, \"keep\": %s}";
    JsonNode told = APP.post("/api/message-imports", order.formatted(html, "false")).body();
    assertThat(told.get("message").isNull()).isTrue();
    assertThat(told.get("told").toString()).contains("script");
    JsonNode kept = APP.post("/api/message-imports", order.formatted(html, "true")).body();
    JsonNode sheet = APP.get("/api/messages/" + kept.get("message").asString()).body();
    assertThat(sheet.get("links").toString()).isEqualTo("[\"bees\",\"Kits\"]");
    Answer refused = APP.post("/api/message-imports", order.formatted("\"<form></form>\"", "true"));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo("/html");
  }

  @Test
  void allMessagesOfAJourneyComeInTheirOrder() {
    Answer sent =
        APP.post("/api/journeys/1/tests", "{\"person\": null, \"made\": null, \"to\": null}");
    assertThat(sent.status()).isEqualTo(200);
    assertThat(sent.body().get("mails").valueStream().map(one -> one.get("message").asString()))
        .startsWith("your-hive-planner-is-here")
        .hasSizeGreaterThanOrEqualTo(5);
    assertThat(sent.body().get("skipped")).isEmpty();
  }

  @Test
  void howAMessageDidIsToldByTheNewestRuns() {
    JsonNode results = APP.get("/api/messages/your-hive-planner-is-here/results").body();
    assertThat(results.valueStream().map(one -> one.get("journeyName").asString()).distinct())
        .containsExactlyInAnyOrder("First frames", "First frames, one try");
    assertThat(results.at("/0/opened/value").asDouble()).isBetween(0.1, 0.9);
    assertThat(APP.get("/api/messages/nothing-sends-it/results").body()).isEmpty();
  }
}
