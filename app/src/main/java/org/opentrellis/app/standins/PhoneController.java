package org.opentrellis.app.standins;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/phone")
class PhoneController {
  private final Phone phone;

  PhoneController(Phone phone) {
    this.phone = phone;
  }

  /** Texts that came, the newest first. */
  @GetMapping
  List<Phone.PhoneText> getTexts() {
    return phone.newest();
  }
}
