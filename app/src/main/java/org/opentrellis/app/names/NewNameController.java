package org.opentrellis.app.names;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys/{id}/new-names")
class NewNameController {
  private final NewNames names;

  NewNameController(NewNames names) {
    this.names = names;
  }

  /** The names that a journey uses and that are not registered. */
  @GetMapping
  List<NewName> listNewNames(@PathVariable long id) {
    return names.in(id);
  }

  /** Registers them all. */
  @PostMapping
  List<NewName> registerNewNames(@PathVariable long id) {
    return names.register(id);
  }
}
