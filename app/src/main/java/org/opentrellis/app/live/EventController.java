package org.opentrellis.app.live;

import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/events")
class EventController {
  private final Events events;

  EventController(Events events) {
    this.events = events;
  }

  /**
   * What happened elsewhere: CloudEvents 1.0 as JSON, one or a batch; one that comes again is the
   * same.
   */
  @PostMapping(
      consumes = {
        "application/cloudevents+json",
        "application/cloudevents-batch+json",
        "application/json"
      })
  List<Events.Taken> takeEvents(@RequestBody JsonNode body) {
    return events.take(body);
  }
}
