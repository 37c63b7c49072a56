package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.app.Answers;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.reading.Plan;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** What tests do with journeys that run, over the doors that people and programs use. */
public final class LiveWorkshop {
  private final Supplier<Answers> over;
  private final Supplier<Journeys> journeys;
  private final HttpClient browser =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();

  public LiveWorkshop(RunningApplication app) {
    this.over = app::answers;
    this.journeys = () -> app.bean(Journeys.class);
  }

  /** Of one that a test starts by itself. */
  LiveWorkshop(Answers over, ConfigurableApplicationContext application) {
    RunningApplication.mailGoesOutAtNightToo(over);
    this.over = () -> over;
    this.journeys = () -> application.getBean(Journeys.class);
  }

  /** Keeps a journey as it is typed, its emails those of the demo. */
  public long draft(String plan) {
    Journeys kept = journeys.get();
    return kept.add(Plan.read(plan).journey(), kept.usual(), null);
  }

  /** The same, and opens it. */
  public long open(String plan) {
    long id = draft(plan);
    assertThat(state(id, "OPEN", false).status()).as("%s", last).isEqualTo(200);
    return id;
  }

  /** Opens one of the demo's journeys. */
  public void openNamed(String name) {
    long id =
        journeys.get().names().stream()
            .filter(one -> one.name().equals(name))
            .findFirst()
            .orElseThrow()
            .id();
    assertThat(state(id, "OPEN", false).status()).as("%s", last).isEqualTo(200);
  }

  private Answer last;

  public Answer state(long journey, String state, boolean finishBegun) {
    int version = over.get().get("/api/journeys/" + journey).body().get("version").asInt();
    last =
        over.get()
            .put(
                "/api/journeys/" + journey + "/state",
                "{\"version\": %d, \"state\": \"%s\", \"by\": null, \"finishBegun\": %s}"
                    .formatted(version, state, finishBegun));
    return last;
  }

  /** Adds somebody who may be mailed. */
  public long person(String address) {
    Answer added =
        over.get()
            .post(
                "/api/people",
                "{\"address\": \"%s\", \"firstName\": \"Ida\", \"lastName\": \"Test\", \"phone\": null, \"zone\": \"Europe/Berlin\", \"agreed\": \"said so\"}"
                    .formatted(address));
    assertThat(added.status()).as("%s", added.body()).isLessThan(300);
    return added.body().get("id").asLong();
  }

  /** The number of whoever has an address. */
  public long number(String address) {
    return over.get()
        .post(
            "/api/people/pages",
            "{\"find\": \"\", \"search\": \"%s\", \"order\": \"NEWEST\", \"after\": null}"
                .formatted(address))
        .body()
        .at("/items/0/id")
        .asLong();
  }

  /** Adds somebody who may be mailed, and puts them on lists. */
  public long onList(String address, String... lists) {
    long id = person(address);
    JsonNode person = over.get().get("/api/people/" + id).body();
    String all = Stream.of(lists).map(list -> "\"" + list + "\"").collect(Collectors.joining(", "));
    Answer saved =
        over.get()
            .put(
                "/api/people/" + id,
                """
                {"version": %s, "firstName": "Ida", "lastName": "Test", "phone": null,
                 "zone": "Europe/Berlin", "texts": null, "lists": [%s], "tags": [], "fields": []}
                """
                    .formatted(person.get("version"), all));
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    return id;
  }

  Answer putIn(long journey, long person) {
    return over.get()
        .post("/api/live/journeys/" + journey + "/people", "{\"person\": " + person + "}");
  }

  public JsonNode live(long person) {
    return over.get().get("/api/live/people/" + person).body();
  }

  /** What happened to somebody, the first first. */
  List<String> story(long person) {
    return live(person)
        .get("happened")
        .valueStream()
        .map(line -> line.get("sentence").asString())
        .toList()
        .reversed();
  }

  /** Turns the clock on, and waits until it has come there. */
  public void turn(long seconds) {
    turn("{\"seconds\": " + seconds + "}");
  }

  /** To a moment, in epoch seconds. */
  public void turnTo(long moment) {
    turn("{\"to\": " + moment + "}");
  }

  private void turn(String order) {
    Answer turned = over.get().post("/api/live/clock", order);
    assertThat(turned.status()).as("%s", turned.body()).isEqualTo(200);
    JsonNode live = over.get().until("/api/live", one -> one.at("/clock/turning").isNull());
    assertThat(live.at("/clock/failure").isNull()).isTrue();
  }

  /** The mails that came to an address, the newest first, as they are read. */
  public List<JsonNode> mails(String address) {
    return over.get()
        .post("/api/inbox/pages", "{\"address\": \"%s\", \"before\": null}".formatted(address))
        .body()
        .get("items")
        .valueStream()
        .map(line -> over.get().get("/api/inbox/" + line.get("id").asLong()).body())
        .toList();
  }

  public static String link(JsonNode mail, String words) {
    return mail.get("links")
        .valueStream()
        .filter(one -> one.get("words").asString().equals(words))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no link " + words + " in " + mail.get("links")))
        .get("address")
        .asString();
  }

  static String header(JsonNode mail, String name) {
    return mail.get("headers")
        .valueStream()
        .filter(one -> one.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow()
        .get("value")
        .asString();
  }

  /** Follows a link as a browser does, without going where it leads. */
  public HttpResponse<String> follow(String address) {
    return send(HttpRequest.newBuilder(here(address)).GET());
  }

  /** One click (RFC 8058, section 3.1). */
  HttpResponse<String> oneClick(String address) {
    return send(
        HttpRequest.newBuilder(here(address))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("List-Unsubscribe=One-Click")));
  }

  private URI here(String address) {
    return URI.create(over.get().address() + URI.create(address).getPath());
  }

  private HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      return browser.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  /** Everybody's life leads to how they stand. */
  public void auditIsClean() {
    JsonNode audit = over.get().post("/api/live/audits", "").body();
    assertThat(audit.get("differences")).as("%s", audit).isEmpty();
    assertThat(audit.get("people").asLong()).isPositive();
  }
}
