package org.opentrellis.app.names;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/names")
class NameController {
  private final RegisteredNames names;

  NameController(RegisteredNames names) {
    this.names = names;
  }

  @GetMapping
  List<NameView> listNames() {
    return names.views();
  }
}
