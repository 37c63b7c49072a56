package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.springframework.jdbc.core.JdbcTemplate;

/** Whom dates bring is the same whether it is asked for all of them together or one by one. */
class DatesAheadTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(300);

  private static final long DAY = 24 * 3600;

  @Test
  void allTogetherBringWhomEachBrings() {
    new LiveWorkshop(APP).openNamed("Membership turns over");
    APP.bean(JdbcTemplate.class)
        .update(
            "update person_field set dated = date '2024-02-29' where dated is not null"
                + " and mod(person_id, 2) = 0");
    Lookouts lookouts = APP.bean(Lookouts.class);
    long now = APP.get("/api/live").body().at("/clock/now").asLong();
    List<Lookouts.Moment> moments =
        APP.bean(OpenJourneys.class).entrances().stream()
            .flatMap(open -> lookouts.ahead(open, now, now + 500 * DAY).stream())
            .toList();
    Map<Lookouts.Moment, List<Long>> together = lookouts.whom(moments);
    assertThat(moments).hasSizeGreaterThan(400);
    assertThat(together.values().stream().mapToInt(List::size).max().orElse(0))
        .as("those of the leap day come together")
        .isGreaterThan(5);
    for (Lookouts.Moment moment : moments) {
      assertThat(together.getOrDefault(moment, List.of()))
          .as("%s in %s", moment.day(), moment.zone())
          .isEqualTo(lookouts.whom(moment));
    }
  }
}
