package org.opentrellis.app.readings;

import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys/{id}/readings")
class ReadingController {
  private final Readings readings;

  ReadingController(Readings readings) {
    this.readings = readings;
  }

  @PostMapping
  ReadingView readSentence(@PathVariable long id, @RequestBody TypedSentence typed) {
    return readings.read(id, typed);
  }
}
