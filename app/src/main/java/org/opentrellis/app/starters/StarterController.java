package org.opentrellis.app.starters;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/starters")
class StarterController {
  private final Starters starters;

  StarterController(Starters starters) {
    this.starters = starters;
  }

  @GetMapping
  List<StarterView> listStarters() {
    return starters.all();
  }

  /** A journey that was begun. */
  record Begun(long id) {}

  @PostMapping("/{id}/journeys")
  @ResponseStatus(HttpStatus.CREATED)
  Begun beginFromStarter(@PathVariable String id) {
    return new Begun(starters.begin(id));
  }
}
