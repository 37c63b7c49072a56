package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The workshop's side of the page of choices. */
@RestController
@RequestMapping("/api/choices-page")
class ChoicesPageController {
  private final ChoicesKept choices;

  ChoicesPageController(ChoicesKept choices) {
    this.choices = choices;
  }

  /** A page that is being changed. */
  record ChoicesGiven(@Schema(ref = Schemas.CHOICES_PAGE) JsonNode page) {}

  /** How a page would look, as HTML. */
  record ChoicesPicture(String html) {}

  @GetMapping
  ChoicesView getChoicesPage() {
    return choices.view();
  }

  @PutMapping
  ChoicesView saveChoicesPage(@RequestBody ChoicesView draft) {
    return choices.save(draft);
  }

  /** How the page would be for somebody; nothing is kept. */
  @PostMapping("/looks")
  ChoicesPicture lookAtChoicesPage(@RequestBody ChoicesGiven given) {
    return new ChoicesPicture(choices.picture(given.page()));
  }
}
