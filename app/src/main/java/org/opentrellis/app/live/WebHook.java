package org.opentrellis.app.live;

import java.time.Instant;
import org.opentrellis.app.people.KnownPerson;
import org.opentrellis.core.format.Json;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a web address is sent when a journey tells it: one CloudEvent 1.0 as JSON (CNCF CloudEvents,
 * "JSON Event Format"), as programs send them to us.
 */
final class WebHook {
  private static final String TYPE = "journey.told";

  private WebHook() {}

  static String of(NoticeMapper.NoticeRow row, String journey, KnownPerson who) {
    ObjectNode event = (ObjectNode) Json.tree("{}");
    event
        .put("specversion", "1.0")
        .put("id", Long.toString(row.id()))
        .put("source", "/journeys/" + row.journeyId())
        .put("type", TYPE)
        .put("time", Instant.ofEpochSecond(row.at()).toString())
        .putObject("data")
        .put("email", who.address())
        .put("journey", journey);
    return Json.pretty(event);
  }
}
