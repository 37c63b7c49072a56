package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.live.LiveWorkshop;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** People sign up at the public door, and others try what they should not. */
@Tag("thorough")
class DoorTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final Pattern SEAL = Pattern.compile("name=\"seal\" value=\"([^\"]+)\"");
  private static final Pattern CONFIRM = Pattern.compile("http\\S*(/e/\\S+/confirm/[\\w-]+)");

  /** A person takes longer to fill in a form. */
  private static final long TYPING_MILLIS = 1_600;

  private static final HttpClient BROWSER =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();

  private record Door(long id, String path) {}

  /** One that asks for first name and hives, puts people on a list of its own, and is on. */
  private static Door door(String name, UnaryOperator<ObjectNode> otherwise) {
    JsonNode added = APP.post("/api/entrances", "{\"name\": \"%s\"}".formatted(name)).body();
    ObjectNode entrance = (ObjectNode) added.get("entrance");
    entrance.put("agreement", "Ambercomb sends me news.");
    entrance.put("confirms", false);
    entrance.putArray("lists").add(name);
    entrance.putArray("tags").add("signed-up");
    entrance.putArray("asks").addObject().put("kind", "firstName").put("required", true);
    ((ArrayNode) entrance.get("asks"))
        .addObject()
        .put("kind", "field")
        .put("field", "hives")
        .put("words", "How many hives?")
        .put("required", false);
    Answer saved =
        APP.put(
            "/api/entrances/" + added.get("id"),
            "{\"entrance\": %s, \"version\": 1}".formatted(otherwise.apply(entrance)));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    assertThat(APP.put("/api/entrances/" + added.get("id") + "/on", "").status()).isEqualTo(200);
    return new Door(added.get("id").asLong(), added.get("path").asString());
  }

  private static Door door(String name) {
    return door(name, entrance -> entrance);
  }

  private static HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      return BROWSER.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  private static HttpResponse<String> get(String path) {
    return send(HttpRequest.newBuilder(URI.create(APP.address() + path)).GET());
  }

  private static HttpResponse<String> post(String path, Map<String, String> typed) {
    String form =
        typed.entrySet().stream()
            .map(
                one ->
                    URLEncoder.encode(one.getKey(), StandardCharsets.UTF_8)
                        + "="
                        + URLEncoder.encode(one.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    return send(
        HttpRequest.newBuilder(URI.create(APP.address() + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("Origin", "https://shop.example.com")
            .POST(HttpRequest.BodyPublishers.ofString(form)));
  }

  private static void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  /** Opens the form, as a person fills it in. */
  private static Map<String, String> opened(Door door, String address) {
    pause(1_000);
    HttpResponse<String> page = get(door.path());
    assertThat(page.statusCode()).as(page.body()).isEqualTo(200);
    Matcher seal = SEAL.matcher(page.body());
    assertThat(seal.find()).isTrue();
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put("seal", seal.group(1));
    typed.put("website", "");
    typed.put("address", address);
    typed.put("first-name", "Ida");
    typed.put("field-hives", "3");
    return typed;
  }

  private static HttpResponse<String> signUp(Door door, String address) {
    Map<String, String> typed = opened(door, address);
    pause(TYPING_MILLIS);
    return post(door.path(), typed);
  }

  private static List<JsonNode> found(String address) {
    return APP.post(
            "/api/people/pages",
            "{\"find\": \"\", \"search\": \"%s\", \"order\": \"NEWEST\", \"after\": null}"
                .formatted(address))
        .body()
        .get("items")
        .valueStream()
        .toList();
  }

  private static String confirmation(String address) {
    long giveUp = System.nanoTime() + 20_000_000_000L;
    while (WORKSHOP.mails(address).isEmpty() && System.nanoTime() < giveUp) {
      pause(200);
    }
    Matcher link = CONFIRM.matcher(WORKSHOP.mails(address).getFirst().get("plain").asString());
    assertThat(link.find()).isTrue();
    return link.group(1);
  }

  @Test
  void whoIsNewComesInAtOnceAndTheJourneyAnswers() {
    Door door = door("Planner by form");
    WORKSHOP.open(
        """
        other: Answers the form
        Starts when someone submits form "Planner by form"
        Send "Your hive planner is here"
        """);
    HttpResponse<String> answer = signUp(door, "new.keeper@example.com");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(303);
    assertThat(answer.headers().firstValue("Location")).hasValue(door.path() + "/thanks");
    assertThat(get(door.path() + "/thanks").body()).contains("Thank you. You are on the list.");

    List<JsonNode> found = found("new.keeper@example.com");
    assertThat(found).hasSize(1);
    JsonNode person = APP.get("/api/people/" + found.getFirst().get("id").asLong()).body();
    assertThat(person.get("firstName").asString()).isEqualTo("Ida");
    assertThat(person.toString()).contains("Planner by form").contains("signed-up");
    WORKSHOP.turn(3600);
    assertThat(WORKSHOP.mails("new.keeper@example.com")).hasSize(1);
    WORKSHOP.auditIsClean();
    JsonNode days = APP.get("/api/entrances/" + door.id()).body().get("days");
    assertThat(days.get(0).get("signUps").asLong()).isEqualTo(1);
  }

  /** Loading the page again, or a second press on the button. */
  @Test
  void sendingItTwiceIsOnce() {
    Door door = door("Twice is once");
    Map<String, String> typed = opened(door, "twice@example.com");
    pause(TYPING_MILLIS);
    assertThat(post(door.path(), typed).statusCode()).isEqualTo(303);
    pause(1_000);
    typed.put("address", "somebody.else@example.com");
    assertThat(post(door.path(), typed).statusCode()).isEqualTo(303);
    assertThat(found("twice@example.com")).hasSize(1);
    assertThat(found("somebody.else@example.com")).isEmpty();
  }

  /** Nobody overwrites another's record, nor finds out whether they are known. */
  @Test
  void whoIsThereAlreadyConfirmsAndTheAnswerIsTheSame() {
    Door door = door("Known already");
    long known = WORKSHOP.person("known@example.com");
    JsonNode before = APP.get("/api/people/" + known).body();
    HttpResponse<String> ofKnown = signUp(door, "known@example.com");
    HttpResponse<String> ofNew = signUp(door, "unknown@example.com");
    assertThat(ofKnown.statusCode()).isEqualTo(ofNew.statusCode());
    assertThat(ofKnown.headers().firstValue("Location"))
        .isEqualTo(ofNew.headers().firstValue("Location"));
    assertThat(ofKnown.body()).isEqualTo(ofNew.body());
    assertThat(APP.get("/api/people/" + known).body()).isEqualTo(before);

    String link = confirmation("known@example.com");
    assertThat(get(link).body()).contains("Yes, it was me");
    assertThat(APP.get("/api/people/" + known).body()).as("a link checker").isEqualTo(before);
    assertThat(get(link.substring(0, link.length() - 1) + "_").statusCode()).isEqualTo(404);
    assertThat(post(link, Map.of()).body()).contains("Now you are in");
    assertThat(APP.get("/api/people/" + known).body().toString()).contains("Known already");
    assertThat(post(link, Map.of()).statusCode()).isEqualTo(200);
  }

  @Test
  void whoUnsubscribedComesBackOnlyByThemselves() {
    Door door = door("Back again");
    long gone = WORKSHOP.person("gone@example.com");
    APP.bean(JdbcTemplate.class)
        .update("update person set mailing = 'UNSUBSCRIBED' where id = ?", gone);
    signUp(door, "gone@example.com");
    assertThat(mailing(gone)).isEqualTo("UNSUBSCRIBED");
    post(confirmation("gone@example.com"), Map.of());
    assertThat(mailing(gone)).isEqualTo("MAY_BE_MAILED");
    JsonNode back = APP.get("/api/people/" + gone).body();
    assertThat(back.get("mailingWords").asString())
        .as("what they agreed to, word for word")
        .isEqualTo(
            APP.get("/api/entrances/" + door.id()).body().at("/entrance/agreement").asString())
        .isNotBlank();
  }

  private static String mailing(long person) {
    return APP.bean(JdbcTemplate.class)
        .queryForObject("select mailing from person where id = ?", String.class, person);
  }

  @Test
  void robotsAreKeptOut() {
    Door door = door("No robots");
    Map<String, String> typed = opened(door, "robot@example.com");
    pause(TYPING_MILLIS);
    typed.put("website", "https://robot.example.com");
    assertThat(post(door.path(), typed).statusCode()).isEqualTo(303);
    pause(1_000);
    typed.put("website", "");
    typed.put("seal", "made.123.up");
    assertThat(post(door.path(), typed).body()).contains("Please send it once more");
    assertThat(found("robot@example.com")).isEmpty();
    pause(1_000);
    HttpRequest again = HttpRequest.newBuilder(URI.create(APP.address() + door.path())).build();
    List<Integer> answers =
        IntStream.range(0, 20)
            .mapToObj(n -> BROWSER.sendAsync(again, HttpResponse.BodyHandlers.ofString()))
            .toList()
            .stream()
            .map(one -> one.join().statusCode())
            .toList();
    assertThat(answers).contains(200, 429);
  }

  @Test
  void whatIsWrongIsSaidAtItsPlaceAndNothingTypedIsLost() {
    Door door = door("Say it kindly");
    Map<String, String> typed = opened(door, "no address");
    typed.put("first-name", "");
    typed.put("field-hives", "<script>alert(1)</script>");
    typed.put("field-member", "yes");
    pause(TYPING_MILLIS);
    HttpResponse<String> answer = post(door.path(), typed);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body())
        .contains("id=\"address-problem\"")
        .contains("id=\"first-name-problem\"")
        .contains("value=\"no address\"")
        .contains("&lt;script&gt;")
        .doesNotContain("<script>");
  }

  /** Parts of a message above the form, and as the page afterwards; a file; the team is told. */
  @Test
  void pagesShowPartsAndHandOutAFile() {
    APP.bean(KeptFiles.class)
        .add("hives.pdf", "%PDF-1.4\n%%EOF".getBytes(StandardCharsets.US_ASCII));
    JsonNode messages = APP.get("/api/messages").body();
    String message =
        messages
            .valueStream()
            .filter(one -> one.get("name").asString().equals("What a season costs"))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asString();
    Door door =
        door(
            "With parts",
            entrance -> {
              entrance.put("above", message).put("handsOut", "hives.pdf").put("tells", "Mira");
              entrance.putObject("then").put("kind", "page").put("message", message);
              return entrance;
            });
    pause(1_000);
    String page = get(door.path()).body();
    assertThat(page).contains("season").contains("name=\"seal\"").doesNotContain("<script");
    assertThat(signUp(door, "parts@example.com").statusCode()).isEqualTo(303);
    assertThat(get(door.path() + "/thanks").body()).contains("season").contains("/files/hives.pdf");
    assertThat(APP.get("/api/live").body().get("notices").toString())
        .contains("Ida (parts@example.com) signed up.")
        .contains("form With parts");
  }

  /** A form that is no form, or too large: a page says so, and nothing of what is behind it. */
  @Test
  void whatCannotBeReadIsAnsweredWithAPage() {
    Door door = door("No form at all");
    for (String type : List.of("application/json", "multipart/form-data; boundary=none", "x/y")) {
      pause(600);
      HttpResponse<String> answer =
          send(
              HttpRequest.newBuilder(URI.create(APP.address() + door.path()))
                  .header("Content-Type", type)
                  .POST(HttpRequest.BodyPublishers.ofString("{\"address\": \"a@example.com\"}")));
      assertThat(answer.statusCode()).as(type).isBetween(400, 499);
      assertThat(answer.body()).as(type).contains("<main>").doesNotContain("Exception");
    }
    pause(1_000);
    Map<String, String> typed = opened(door, "large@example.com");
    typed.put("first-name", "x".repeat(3_000_000));
    assertThat(post(door.path(), typed).statusCode()).isBetween(400, 499);
    assertThat(found("large@example.com")).isEmpty();
  }

  @Test
  void thePublicPartKnowsNothingOfTheWorkshop() {
    Door door = door("Public part");
    pause(1_000);
    HttpResponse<String> page = get(door.path());
    assertThat(page.headers().firstValue("Set-Cookie")).isEmpty();
    assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'")
        .contains("frame-ancestors *");
    assertThat(page.headers().firstValue("X-Frame-Options")).isEmpty();
    assertThat(page.body()).doesNotContain("<script");

    HttpResponse<String> site = get("/site?form=" + door.id());
    assertThat(site.headers().firstValue("Content-Security-Policy").orElseThrow())
        .contains("default-src 'none'", "script-src 'self'", "frame-src 'self'")
        .contains("frame-ancestors 'self'");
    assertThat(site.body()).contains("src=\"" + door.path() + "\"").doesNotContain("<script");
    assertThat(get("/site?card=true&form=" + door.id()).body())
        .contains("src=\"" + door.path() + "/card.js\"");
    assertThat(get("/site?form=%3Cscript%3E").statusCode()).isEqualTo(400);

    APP.delete("/api/entrances/" + door.id() + "/on");
    assertThat(get(door.path()).statusCode()).isEqualTo(404);
    assertThat(get("/site?form=" + door.id()).body()).doesNotContain(door.path());
    assertThat(get("/e/nothing-of-the-kind").statusCode()).isEqualTo(404);
  }
}
