package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.app.Answers;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.torture.OldFolder;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Whatever lay in a folder of an earlier version can be worked with in this one. */
@Timeout(120)
@Tag("thorough")
@Order(1)
class UpgradedFolderTest {
  @TempDir Path folder;

  static java.util.List<OldFolder> oldFolders() {
    return OldFolder.all();
  }

  @ParameterizedTest
  @MethodSource("oldFolders")
  void everythingInItIsListedAndOpens(OldFolder old) throws IOException {
    old.unpack(folder);
    try (ConfigurableApplicationContext context = RunningApplication.start(folder)) {
      Answers app = Answers.of(context);
      JsonNode list = app.get("/api/journeys").body();
      assertThat(list.get("total").asInt()).isEqualTo(old.journeys().size());
      for (JsonNode entry : list.get("journeys")) {
        JsonNode view = app.get("/api/journeys/" + entry.at("/card/id").asLong()).body();
        assertThat(entry.at("/card/opening")).isEqualTo(view.at("/sheet/opening/sentence"));
        assertThat(entry.at("/card/findings").asLong()).isEqualTo(Answers.told(view));
      }
      for (JsonNode run : app.get("/api/dry-runs").body().get("runs")) {
        JsonNode whole = app.get("/api/dry-runs/" + run.get("id").asLong()).body();
        assertThat(whole.at("/journeys/0/report/measures/entered").asInt()).isPositive();
      }
      for (JsonNode kept : app.get("/api/kept-comparisons").body()) {
        String runs = kept.get("runs").valueStream().map(JsonNode::asString).toList().toString();
        String refs = runs.replaceAll("[\\[\\] ]", "");
        assertThat(app.get("/api/comparisons?runs=" + refs).status()).isEqualTo(200);
      }
    }
  }
}
