package org.opentrellis.app.newsletters;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.live.LiveWorkshop;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.Readers;
import org.opentrellis.core.reading.KnownNames;
import org.opentrellis.core.reading.ManuscriptReader;
import org.opentrellis.core.reading.PartReader;
import tools.jackson.databind.JsonNode;

/** What tests do with newsletters, over HTTP as the page does. */
public final class Letterbox {
  public static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
  public static final long HOUR = 3600;
  public static final long DAY = 24 * HOUR;

  private final RunningApplication app;
  public final LiveWorkshop workshop;

  public Letterbox(RunningApplication app) {
    this.app = app;
    this.workshop = new LiveWorkshop(app);
  }

  public long now() {
    return app.get("/api/live").body().at("/clock/now").asLong();
  }

  /** A message of the demo. */
  public MessageId message(String name) {
    return app.get("/api/messages")
        .body()
        .valueStream()
        .filter(one -> one.get("name").asString().equals(name))
        .map(one -> new MessageId(one.get("id").asString()))
        .findFirst()
        .orElseThrow();
  }

  /** Keeps a message with a list of news, two at most. */
  public MessageId withNews(String id, String name) {
    PartReader parts =
        new PartReader(
            Catalogue.EMPTY, KnownNames.of(Map.of()), List.of(), List.of(), LocalDate.EPOCH);
    MessageId message = new MessageId(id);
    app.bean(MessageLibrary.class)
        .keep(
            new Written(
                message,
                name,
                List.of(),
                ManuscriptReader.read(
                        "Subject: The week\nPreview text: In short\nHello.\nnews at most 2", parts)
                    .email(),
                null));
    return message;
  }

  /** In so many hours, to the minute. */
  public Going inHours(int hours, boolean theirTime) {
    LocalDateTime then =
        LocalDateTime.ofInstant(Instant.ofEpochSecond(now()), BERLIN)
            .truncatedTo(ChronoUnit.MINUTES)
            .plusHours(hours);
    return new Going(then.toLocalDate(), then.toLocalTime(), theirTime);
  }

  /** To a list, in an hour. */
  public Newsletter toList(String name, String list) {
    return new Newsletter(
        name,
        Optional.of(message("Choosing a kit")),
        Optional.of(new Readers.Those(new Condition.OnList(new ListName(list)))),
        Optional.empty(),
        List.of(),
        Optional.of(inHours(1, false)),
        0,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** Keeps one as a draft. */
  public long draft(Newsletter newsletter) {
    Answer added = app.post("/api/newsletters", Json.write(Map.of("name", newsletter.name())));
    assertThat(added.status()).as("%s", added.body()).isEqualTo(201);
    long id = added.body().get("id").asLong();
    Answer saved = save(id, newsletter);
    assertThat(saved.status()).as("%s", saved.body()).isEqualTo(200);
    return id;
  }

  public Answer save(long id, Newsletter newsletter) {
    return app.put(
        "/api/newsletters/" + id,
        "{\"version\": %d, \"newsletter\": %s}"
            .formatted(view(id).get("version").asInt(), Json.write(Documents.write(newsletter))));
  }

  public JsonNode view(long id) {
    return app.get("/api/newsletters/" + id).body();
  }

  public String phase(long id) {
    return view(id).get("phase").asString();
  }

  public Answer plan(long id, UnaryOperator<String> other) {
    JsonNode view = view(id);
    return app.put(
        "/api/newsletters/" + id + "/plan",
        other.apply(
            "{\"version\": %d, \"now\": false, \"people\": %d, \"evenSoMany\": false}"
                .formatted(view.get("version").asInt(), view.get("people").asLong())));
  }

  /** Plans one that nothing stands in the way of. */
  public long planned(Newsletter newsletter) {
    long id = draft(newsletter);
    Answer planned = plan(id, order -> order);
    assertThat(planned.status()).as("%s", planned.body()).isEqualTo(200);
    assertThat(planned.body().get("phase").asString()).isEqualTo("PLANNED");
    return id;
  }

  public Answer callBack(long id) {
    return app.delete("/api/newsletters/" + id + "/plan");
  }

  /** How many mails of a newsletter came to an address. */
  public int mailsTo(String address) {
    return workshop.mails(address).size();
  }
}
