package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.opentrellis.app.people.KnownPerson;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;

/** What web addresses are told can be read by whatever reads CloudEvents, so by this program. */
class WebHookTest {
  private static final long AT = 1_800_000_000L;

  @Test
  void itIsAnEventAsWeReadThem() {
    KnownPerson who =
        new KnownPerson(
            7, "ida@example.com", null, null, ZoneOffset.UTC, Map.of(), List.of(), List.of());
    String told =
        WebHook.of(
            new NoticeMapper.NoticeRow(3, 7, 1L, null, "WEB", "https://team.example/hook", "", AT),
            "First \"frames\"",
            who);
    CloudEventReading.Heard heard = CloudEventReading.read(Json.tree(told), AT + 60).getFirst();
    assertThat(heard.id()).isEqualTo("3");
    assertThat(heard.address()).isEqualTo("ida@example.com");
    assertThat(heard.happening().at()).isEqualTo(AT);
    assertThat(((Happening.EventArrived) heard.happening()).event().value())
        .isEqualTo("journey.told");
    assertThat(told).contains("First \\\"frames\\\"");
  }
}
