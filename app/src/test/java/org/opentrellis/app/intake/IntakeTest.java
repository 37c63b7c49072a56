package org.opentrellis.app.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A table brings in whom it can, tells of whom it cannot, and can be taken back. */
@Tag("thorough")
class IntakeTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();

  private static JsonNode handIn(String table) {
    Answer view =
        APP.postCsv("/api/people-tables?name=fair.csv", table.getBytes(StandardCharsets.UTF_8));
    assertThat(view.status()).as(view.body().toString()).isEqualTo(200);
    return view.body();
  }

  /** The table as it is found, with everything else as usual. */
  private static String order(JsonNode table, String more) {
    String columns =
        table
            .get("columns")
            .valueStream()
            .map(column -> column.get("plan").toString())
            .collect(Collectors.joining(", "));
    return """
    {"columns": [%s], "country": null, "known": "BRING_UP_TO_DATE", "lists": ["Fair"],
     "tags": ["stand"], "agreement": "THEY_AGREED", "agreed": "signed at the stand",
     "zone": "Europe/Oslo"%s}
    """
        .formatted(columns, more);
  }

  private static JsonNode bringIn(String table) {
    JsonNode view = handIn(table);
    return over(APP.post("/api/people-tables/" + view.get("id") + "/acts", order(view, "")));
  }

  private static JsonNode over(Answer begun) {
    assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
    JsonNode act = begun.body();
    for (int tries = 0;
        tries < 600 && !act.get("state").asString().matches("DONE|TAKEN_BACK");
        tries++) {
      try {
        Thread.sleep(50);
      } catch (InterruptedException stopped) {
        throw new IllegalStateException(stopped);
      }
      act = APP.get("/api/people-acts/" + act.get("id")).body();
      assertThat(act.get("failure").isNull()).as(act.toString()).isTrue();
    }
    return act;
  }

  private static JsonNode takeBack(JsonNode act) {
    return over(APP.post("/api/people-acts/" + act.get("id") + "/back", "{}"));
  }

  private static JsonNode page(String search) {
    return APP.post(
            "/api/people/pages",
            "{\"find\": \"\", \"search\": \"%s\", \"order\": \"NEWEST\", \"after\": null}"
                .formatted(search))
        .body();
  }

  private static JsonNode person(String search) {
    return APP.get("/api/people/" + page(search).at("/items/0/id")).body();
  }

  private static String everybody() {
    return APP.textOf("/api/people/tables", "{\"find\": \"\", \"search\": \"\", \"chosen\": null}");
  }

  @Test
  void whoIsNewComesInWithAllThatTheTableSays() {
    JsonNode act =
        bringIn(
            "email,first name,last name,phone,time zone,tags,hives,since\n"
                + "new1@example.com,Ines,Varga,+47 21 23 45 67,Europe/Paris,market;old,3,2026-05-02\n");
    assertThat(act.get("sentence").asString()).isEqualTo("Done: 1 new.");
    JsonNode ines = person("new1");
    assertThat(ines.get("mailing").asString()).isEqualTo("MAY_BE_MAILED");
    assertThat(ines.get("mailingHow").asString()).isEqualTo("signed at the stand");
    assertThat(ines.get("phone").asString()).isEqualTo("+4721234567");
    assertThat(ines.get("zone").asString()).isEqualTo("Europe/Paris");
    assertThat(ines.get("labels").valueStream().map(one -> one.get("name").asString()))
        .containsExactlyInAnyOrder("Fair", "stand", "market", "old");
    assertThat(ines.get("fields").toString())
        .isEqualTo(
            "[{\"field\":\"hives\",\"value\":\"3\"},{\"field\":\"since\",\"value\":\"2026-05-02\"}]");
    assertThat(ines.at("/story/0/sentence").asString())
        .startsWith(
            "Was brought in by import of fair.csv; agreed to email: signed at the stand; on list");
    takeBack(act);
    assertThat(page("new1").get("total").asInt()).isZero();
  }

  /** Live's promise: nobody who has gone comes back by an import. */
  @ParameterizedTest
  @ValueSource(strings = {"unsubscribed", "bounced", "complained"})
  void whoHasGoneStaysGone(String state) {
    bringIn("email,status\ngone-%s@example.com,%s\n".formatted(state, state));
    JsonNode view = handIn("email,status\ngone-%s@example.com,subscribed\n".formatted(state));
    JsonNode check =
        APP.post("/api/people-tables/" + view.get("id") + "/checks", order(view, "")).body();
    assertThat(check.get("sentences").toString()).contains("They stay so");
    over(APP.post("/api/people-tables/" + view.get("id") + "/acts", order(view, "")));
    assertThat(person("gone-" + state).get("mailing").asString()).isEqualToIgnoringCase(state);
  }

  @Test
  void withoutAgreementNothingMayBeSent() {
    JsonNode view = handIn("email\nquiet@example.com\n");
    String order = order(view, "").replace("THEY_AGREED", "NOT_YET");
    over(APP.post("/api/people-tables/" + view.get("id") + "/acts", order));
    assertThat(person("quiet").get("mailing").asString()).isEqualTo("NOT_CONFIRMED");
  }

  @ParameterizedTest
  @CsvSource({
    "BRING_UP_TO_DATE, Nora, Berg, 5, 2",
    "FILL_GAPS, Old, Berg, 1, 2",
    "LEAVE, Old, , 1, 0",
  })
  void thoseWhoAreKnownAreTreatedAsWanted(
      String known, String first, String last, String hives, int labels) {
    String address = known.toLowerCase(java.util.Locale.ROOT).replace('_', '-') + "@example.com";
    JsonNode view = handIn("email,first name,hives\n%s,Old,1\n".formatted(address));
    String plain = order(view, "").replace("[\"Fair\"]", "[]").replace("[\"stand\"]", "[]");
    over(APP.post("/api/people-tables/" + view.get("id") + "/acts", plain));
    String before = everybody();

    JsonNode again =
        handIn("email,first name,last name,hives\n%s,Nora,Berg,5\n".formatted(address));
    JsonNode act =
        over(
            APP.post(
                "/api/people-tables/" + again.get("id") + "/acts",
                order(again, "").replace("BRING_UP_TO_DATE", known)));
    JsonNode now = person(address);
    assertThat(now.get("firstName").asString()).isEqualTo(first);
    assertThat(now.get("lastName").asString("")).isEqualTo(last == null ? "" : last);
    assertThat(now.at("/fields/0/value").asString()).isEqualTo(hives);
    assertThat(now.get("labels").size()).isEqualTo(labels);
    takeBack(act);
    assertThat(everybody()).isEqualTo(before);
  }

  @Test
  void aRefusedRowIsToldMendedAndBroughtAgain() {
    JsonNode act =
        bringIn(
            "email,hives,note\nright@example.com,2,=1+2\nwrong@example,3,\"a, b\"\nworse@example.org,many,x,more\n");
    assertThat(act.get("sentence").asString()).isEqualTo("Done: 1 new, 2 refused.");
    String refused = APP.text("/api/people-tables/of-act/" + act.get("id") + "/refused.csv");
    assertThat(refused)
        .isEqualTo(
            """
            (line),(why it was refused),email,hives,note\r
            3,"Address “wrong@example”: after the @ stands a domain with its ending, such as example.com.",wrong@example,3,"a, b"\r
            4,"The row has 4 values, but there are 3 columns.",worse@example.org,many,x,more\r
            """);
    JsonNode mended =
        bringIn(
            refused.replace("wrong@example,", "wrong@example.com,").replace("many,x,more", "4,x"));
    assertThat(mended.get("sentence").asString()).isEqualTo("Done: 2 new.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "'\"agreement\": \"THEY_AGREED\"'~'\"agreement\": null'~/agreement",
        "signed at the stand~''~/agreed",
        "Europe/Oslo~Oslo~/zone",
        "'\"country\": null'~'\"country\": \"Norway\"'~/country",
        "'[\"Fair\"]'~'[\"\"]'~/lists/0",
        "'\"use\":\"ADDRESS\"'~'\"use\":\"FIRST_NAME\"'~/columns",
        "'\"decimal\":\"POINT\"'~'\"decimal\":null'~/columns/1",
      })
  void whatIsMissingIsSaidAtItsPlace(String part, String instead, String place) {
    JsonNode view = handIn("email,weight\na@example.com,2.5\n");
    String order = order(view, "").replace(part, instead);
    assertThat(order).isNotEqualTo(order(view, ""));
    Answer refused = APP.post("/api/people-tables/" + view.get("id") + "/acts", order);
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).isEqualTo(place);
  }

  @Test
  void anEmptyTableIsRefusedAndAnotherFormIsTaken() {
    assertThat(APP.postCsv("/api/people-tables?name=x", new byte[0]).status()).isEqualTo(400);
    JsonNode view = handIn("email;town\na@example.com;Oslo\n");
    JsonNode other =
        APP.put(
                "/api/people-tables/" + view.get("id") + "/form",
                "{\"encoding\": \"WINDOWS-1252\", \"delimiter\": \",\", \"header\": false}")
            .body();
    assertThat(other.get("columns").size()).isEqualTo(1);
    assertThat(other.get("rows").asInt()).isEqualTo(2);
    Answer wrong =
        APP.put(
            "/api/people-tables/" + view.get("id") + "/form",
            "{\"encoding\": \"KLINGON\", \"delimiter\": \",\", \"header\": false}");
    assertThat(wrong.status()).isEqualTo(400);
  }

  /** Somebody is added by hand at the moment at which the table brings them. */
  @Test
  void whoIsAddedMeanwhileIsThereOnce() {
    int rows = 4_000;
    StringBuilder table = new StringBuilder("email,first name\n");
    for (int n = 0; n < rows; n++) {
      table.append("race%04d@example.com,Table\n".formatted(n));
    }
    JsonNode view = handIn(table.toString());
    var added =
        java.util.concurrent.CompletableFuture.runAsync(
            () -> {
              for (int n = 0; n < rows; n += 97) {
                APP.post(
                    "/api/people",
                    "{\"address\": \"RACE%04d@example.com\", \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"agreed\": null}"
                        .formatted(n));
              }
            });
    JsonNode act =
        over(APP.post("/api/people-tables/" + view.get("id") + "/acts", order(view, "")));
    added.join();
    assertThat(act.get("refused").asInt()).isZero();
    assertThat(page("race").get("total").asInt()).isEqualTo(rows);
    takeBack(act);
  }

  /** The change of one person goes back at once, also while many thousands come in. */
  @Test
  void onePersonDoesNotWaitForATable() {
    bringIn("email,first name\nquick@example.com,Before\n");
    JsonNode one = person("quick@");
    JsonNode changed =
        APP.put(
                "/api/people/" + one.get("id"),
                "{\"version\": %s, \"firstName\": \"After\", \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"lists\": [\"Fair\"], \"tags\": [\"stand\"], \"fields\": []}"
                    .formatted(one.get("version")))
            .body();
    StringBuilder table = new StringBuilder("email\n");
    IntStream.range(0, 30_000).forEach(n -> table.append("slow%d@example.com\n".formatted(n)));
    JsonNode view = handIn(table.toString());
    JsonNode slow =
        APP.post("/api/people-tables/" + view.get("id") + "/acts", order(view, "")).body();
    assertThat(slow.get("state").asString()).isEqualTo("UNDER_WAY");
    JsonNode back = APP.post("/api/people-acts/" + changed.get("lastEdit") + "/back", "{}").body();
    assertThat(back.get("state").asString()).isEqualTo("TAKEN_BACK");
    assertThat(person("quick@").get("firstName").asString()).isEqualTo("Before");
    // It goes by the names that there were when it began: they stay until it is over.
    JsonNode list =
        APP.get("/api/names")
            .body()
            .valueStream()
            .filter(name -> name.get("name").asString().equals("Fair"))
            .findFirst()
            .orElseThrow();
    assertThat(APP.delete("/api/names/" + list.get("id")).body().get("code").asString())
        .isEqualTo("under-way");
    // Stopped midway, it takes back what it has done so far.
    takeBack(slow);
    assertThat(page("slow").get("total").asInt()).isZero();
  }

  /** Whoever something has happened to since stays, with everything. */
  @Test
  void whoHasHadALifeSinceStays() {
    JsonNode act = bringIn("email\nlife1@example.com\nlife2@example.com\n");
    JsonNode one = person("life1");
    ObjectNode edit = (ObjectNode) one.deepCopy();
    APP.put(
        "/api/people/" + one.get("id"),
        "{\"version\": %s, \"firstName\": \"Live\", \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"lists\": [], \"tags\": [], \"fields\": []}"
            .formatted(edit.get("version")));
    JsonNode back = takeBack(act);
    assertThat(back.get("sentence").asString()).startsWith("Taken back; one thing stayed");
    assertThat(page("life1").get("total").asInt()).isEqualTo(1);
    assertThat(page("life2").get("total").asInt()).isZero();
  }

  /** Property: out and in again changes nothing, whatever the names and values look like. */
  @Test
  void whatGoesOutComesInUnchanged() {
    Random random = new Random(7);
    List<String> odd = List.of("a,b", "c;d", "e|f", "\"g\"", "=h", "'i", " j", "Åse", "-k", "@l");
    StringBuilder table =
        new StringBuilder("email,first name,phone,time zone,lists,tags,words,amount,kept,given\n");
    for (int n = 0; n < 200; n++) {
      List<String> cells = new ArrayList<>();
      cells.add("trip%d@example.com".formatted(n));
      cells.add(pick(odd, random).strip());
      cells.add(random.nextBoolean() ? "+4721%06d".formatted(230_000 + n) : "");
      cells.add(random.nextBoolean() ? "America/New_York" : "");
      cells.add(names(odd, random));
      cells.add(names(odd, random));
      cells.add(pick(odd, random));
      cells.add(
          random.nextBoolean() ? Double.toString(random.nextInt(4_000_000) / 16.0 - 1_000) : "");
      cells.add(random.nextBoolean() ? "yes" : "no");
      cells.add("2026-%02d-%02d".formatted(1 + random.nextInt(12), 1 + random.nextInt(28)));
      table.append(
          cells.stream()
              .map(cell -> '"' + cell.replace("\"", "\"\"") + '"')
              .collect(Collectors.joining(",")));
      table.append("\n");
    }
    bringIn(table.toString());
    String out = everybody();
    JsonNode view = handIn(out);
    String plain =
        order(view, "")
            .replace("[\"Fair\"]", "[]")
            .replace("[\"stand\"]", "[]")
            .replace("THEY_AGREED", "NOT_YET");
    JsonNode again = over(APP.post("/api/people-tables/" + view.get("id") + "/acts", plain));
    assertThat(again.get("sentence").asString()).matches("Done: \\d+ known and as they were\\.");
    assertThat(everybody()).isEqualTo(out);
  }

  private static String pick(List<String> some, Random random) {
    return some.get(random.nextInt(some.size()));
  }

  private static String names(List<String> odd, Random random) {
    return IntStream.range(0, random.nextInt(3))
        .mapToObj(n -> '"' + pick(odd, random).strip().replace("\"", "\"\"") + '"')
        .collect(Collectors.joining(";"));
  }

  @Test
  void whoIsForgottenIsGoneAndDoesNotComeBackUnasked() {
    JsonNode act =
        bringIn(
            "email,first name\nforget.me@example.com,Once\nforget.me@example,Refused\nFORGET.ME@example.com,Twice\n");
    long id = person("forget.me").get("id").asLong();
    assertThat(APP.delete("/api/people/" + id).status()).isEqualTo(204);
    assertThat(page("forget.me").get("total").asInt()).isZero();
    assertThat(APP.text("/api/people-tables/of-act/" + act.get("id") + "/refused.csv"))
        .doesNotContainIgnoringCase("forget.me@example.com");
    JsonNode again = bringIn("email\nForget.Me@example.com\n");
    assertThat(again.get("sentence").asString()).isEqualTo("Done: 1 refused.");
    assertThat(APP.text("/api/people-tables/of-act/" + again.get("id") + "/refused.csv"))
        .contains("asked to be forgotten")
        .doesNotContainIgnoringCase("forget.me@");
    String add =
        "{\"address\": \"forget.me@example.com\", \"firstName\": null, \"lastName\": null, \"phone\": null, \"zone\": \"UTC\", \"agreed\": %s}";
    assertThat(APP.post("/api/people", add.formatted("null")).status()).isEqualTo(400);
    assertThat(APP.post("/api/people", add.formatted("\"wrote to us\"")).status()).isEqualTo(200);
  }

  @Test
  void everythingOfAPersonIsAFile() {
    bringIn("email,first name\nfile@example.com,Filed\n");
    JsonNode file = APP.get("/api/people/" + person("file@").get("id") + "/file").body();
    assertThat(file.at("/person/firstName").asString()).isEqualTo("Filed");
    assertThat(file.at("/person/story").size()).isEqualTo(1);
    assertThat(file.get("purchases").isArray()).isTrue();
  }
}
