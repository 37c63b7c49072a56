package org.opentrellis.app.insights;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.Answers.Answer;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What matters, sweeps, previews and the picture of a group, over HTTP. */
class InsightApiTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();

  @Test
  void whatMattersIsRankedWithFiguresAndSentences() {
    JsonNode rows = APP.get("/api/dry-runs/1/what-matters").body().get("rows");
    assertThat(rows.size()).isGreaterThan(20);
    double before = 1;
    for (JsonNode row : rows) {
      assertThat(row.get("swing").asDouble()).isLessThanOrEqualTo(before);
      assertThat(row.get("sentence").asString()).contains("points");
      before = row.get("swing").asDouble();
    }
  }

  @Test
  void oneNumberIsSweptOverItsRange() {
    JsonNode sweep = APP.get("/api/dry-runs/1/sweeps?of=wait:three-days").body();
    assertThat(sweep.get("value").asDouble()).isEqualTo(3);
    for (JsonNode point : sweep.get("points")) {
      boolean asItIs = point.get("value").asDouble() == 3;
      assertThat(point.at("/against/points").asDouble() == 0 || !asItIs).isTrue();
    }
    assertThat(APP.get("/api/dry-runs/1/sweeps?of=nothing").status()).isEqualTo(404);
  }

  @Test
  void aPreviewComparesTheSamePeople() {
    ObjectNode behaviour =
        (ObjectNode) APP.get("/api/dry-runs/1").body().at("/journeys/0/behaviour").deepCopy();
    ((ObjectNode) behaviour.get("buyAfterClick")).put("value", 0.3);
    Answer preview =
        APP.post(
            "/api/dry-runs/1/previews",
            "{\"cohort\": null, \"behaviour\": %s}".formatted(behaviour));
    assertThat(preview.status()).isEqualTo(200);
    JsonNode goal = preview.body().get("goal");
    assertThat(goal.get("paired").asBoolean()).isTrue();
    assertThat(goal.get("points").asDouble()).isGreaterThan(0.02);
    assertThat(preview.body().get("sentence").asString()).contains("the same 5,000 people");
    ((ObjectNode) behaviour.get("buyAfterClick")).put("value", 3);
    Answer refused =
        APP.post(
            "/api/dry-runs/1/previews",
            "{\"cohort\": null, \"behaviour\": %s}".formatted(behaviour));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body().at("/problems/0/place").asString()).startsWith("/behaviour");
  }

  @Test
  void aGroupIsPicturedByItsOpensOfTen() {
    JsonNode shares = APP.get("/api/opens-of-ten?keenness=0.4&spread=0.2").body().get("shares");
    double sum = 0;
    for (JsonNode share : shares) {
      sum += share.asDouble();
    }
    assertThat(shares).hasSize(11);
    assertThat(sum).isCloseTo(1, within(1e-9));
    assertThat(APP.get("/api/opens-of-ten?keenness=4&spread=0.2").status()).isEqualTo(400);
  }
}
