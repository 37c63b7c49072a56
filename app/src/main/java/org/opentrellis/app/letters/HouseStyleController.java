package org.opentrellis.app.letters;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/house-style")
class HouseStyleController {
  private final HouseStyles styles;

  HouseStyleController(HouseStyles styles) {
    this.styles = styles;
  }

  @GetMapping
  HouseStyleView getHouseStyle() {
    return styles.view();
  }

  @PutMapping
  HouseStyleView setHouseStyle(@RequestBody HouseStyleOrder order) {
    return styles.set(order);
  }

  /** What would be hard to read in a style that is being chosen; nothing is kept. */
  @PostMapping("/looks")
  HouseStyleView lookAtHouseStyle(@RequestBody HouseStyleOrder order) {
    return styles.look(order);
  }
}
