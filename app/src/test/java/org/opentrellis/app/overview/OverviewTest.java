package org.opentrellis.app.overview;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What lists tell of journeys is what the journeys themselves say, also while they change. */
@Timeout(120)
@Tag("thorough")
class OverviewTest {
  private static final int AT_ONCE = 12;

  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  private static JsonNode view(long id) {
    return APP.get("/api/journeys/" + id).body();
  }

  private static JsonNode listed(String find) {
    return APP.get("/api/journeys?find=" + find).body();
  }

  private static JsonNode card(long id) {
    for (int page = 0; ; page++) {
      JsonNode journeys = APP.get("/api/journeys?page=" + page).body().get("journeys");
      assertThat(journeys).isNotEmpty();
      for (JsonNode one : journeys) {
        if (one.at("/card/id").asLong() == id) {
          return one.get("card");
        }
      }
    }
  }

  private static Answer save(long id, JsonNode view, JsonNode journey) {
    return APP.put(
        "/api/journeys/" + id,
        "{\"version\": %d, \"journey\": %s, \"by\": null}"
            .formatted(view.get("version").asInt(), journey));
  }

  private static Answer edited(long id, String name) {
    JsonNode view = view(id);
    ObjectNode journey = (ObjectNode) view.get("journey").deepCopy();
    journey.put("name", name);
    return save(id, view, journey);
  }

  private static void agrees(long id) {
    JsonNode view = view(id);
    JsonNode card = card(id);
    assertThat(card.get("name")).isEqualTo(view.at("/journey/name"));
    assertThat(card.get("version")).isEqualTo(view.get("version"));
    assertThat(card.get("opening")).isEqualTo(view.at("/sheet/opening/sentence"));
    assertThat(card.get("goal")).isEqualTo(view.at("/sheet/goal/sentence"));
    JsonNode whole = view.get(view.get("expanded").isNull() ? "journey" : "expanded");
    assertThat(card.get("body")).isEqualTo(whole.get("body"));
    assertThat(card.get("findings").asLong()).isEqualTo(Answers.told(view));
  }

  @Test
  void everyCardSaysWhatItsJourneySays() {
    for (long id = 1; id <= 8; id++) {
      agrees(id);
    }
  }

  @Test
  void journeysAreFoundByAllTheirWordsAndNothingElse() {
    assertThat(listed("").get("total").asInt()).isGreaterThanOrEqualTo(8);
    JsonNode found = listed("welcome%20NEWCOMERS%20one%20try");
    assertThat(found.get("total").asInt()).isEqualTo(1);
    assertThat(found.at("/journeys/0/card/name").asString()).isEqualTo("First frames, one try");
    assertThat(listed("100%25").get("total").asInt()).isZero();
    assertThat(listed("_").get("total").asInt()).isZero();
    assertThat(listed("welcome").get("inAll").asInt()).isEqualTo(listed("").get("total").asInt());
    assertThat(APP.get("/api/journeys?page=-1").status()).isEqualTo(400);
  }

  /** What another journey does is a finding here: the list tells it as soon as it is so. */
  @Test
  void aFindingThatAnotherJourneyMakesIsTold() {
    long one = begin("welcome");
    long other = begin("nurture");
    JsonNode view = view(one);
    ObjectNode journey = (ObjectNode) view.get("journey").deepCopy();
    journey
        .withArray("body")
        .addObject()
        .put("kind", "handOver")
        .put("id", "over")
        .put("journey", view(other).at("/journey/name").asString())
        .put("thenFinish", true);
    assertThat(save(one, view, journey).status()).isEqualTo(200);
    assertThat(card(one).get("worst").asString("WARNING")).isEqualTo("WARNING");
    agrees(one);
    // Whoever hands over to a journey goes on doing so when it is called otherwise.
    assertThat(edited(other, "Another name").status()).isEqualTo(200);
    agrees(one);
    assertThat(card(one).get("worst").asString("WARNING")).isEqualTo("WARNING");
    assertThat(view(one).at("/journey/body").toString()).contains("Another name");
    assertThat(APP.put("/api/journeys/" + other + "/archived", "").status()).isEqualTo(200);
    agrees(one);
    assertThat(card(one).get("worst").asString()).isEqualTo("ERROR");
  }

  /** A message's new name stands in the sentences of whatever sends it, through a strand too. */
  @Test
  void aChangedMessageIsToldWhereItIsSent() {
    JsonNode message = APP.get("/api/messages").body().get(0);
    String body =
        "{\"name\": \"Renamed for a test\", \"content\": %s, \"links\": %s, \"voucher\": %s, \"version\": %d}"
            .formatted(
                message.get("content"),
                message.get("links"),
                message.get("voucher"),
                message.get("version").asInt());
    assertThat(APP.put("/api/messages/" + message.get("id").asString(), body).status())
        .isEqualTo(200);
    for (long id = 1; id <= 8; id++) {
      agrees(id);
    }
  }

  private static long begin(String starter) {
    return APP.post("/api/starters/" + starter + "/journeys", "").body().get("id").asLong();
  }

  /** Many save and create at once: every save that was answered with yes is there, once. */
  @Test
  void whatIsSavedAndCreatedAtOnceIsAllThere() throws Exception {
    long shared = begin("welcome");
    List<Long> own = new ArrayList<>();
    for (int i = 0; i < AT_ONCE; i++) {
      own.add(begin("cart"));
    }
    int before = APP.get("/api/journeys/names").body().size();
    int version = view(shared).get("version").asInt();
    ExecutorService people = Executors.newFixedThreadPool(AT_ONCE);
    try {
      List<Future<Integer>> saves = new ArrayList<>();
      List<Future<Long>> created = new ArrayList<>();
      for (int i = 0; i < AT_ONCE; i++) {
        int n = i;
        saves.add(people.submit(() -> edited(shared, "Shared " + n).status()));
        created.add(people.submit(() -> begin("welcome")));
        saves.add(people.submit(() -> 10 * edited(own.get(n), "Own " + n).status()));
      }
      Set<Long> ids = new HashSet<>();
      for (Future<Long> one : created) {
        ids.add(one.get());
      }
      assertThat(ids).hasSize(AT_ONCE);
      int won = 0;
      for (Future<Integer> save : saves) {
        assertThat(save.get()).isIn(200, 409, 2000);
        won += save.get() == 200 ? 1 : 0;
      }
      assertThat(view(shared).get("version").asInt()).isEqualTo(version + won);
      assertThat(won).isPositive();
    } finally {
      people.shutdownNow();
    }
    JsonNode names = APP.get("/api/journeys/names").body();
    assertThat(names).hasSize(before + AT_ONCE);
    assertThat(StreamSupport.stream(names.spliterator(), false).map(one -> one.get("name")))
        .doesNotHaveDuplicates();
    own.forEach(OverviewTest::agrees);
    agrees(shared);
  }
}
