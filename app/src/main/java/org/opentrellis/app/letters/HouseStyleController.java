package org.opentrellis.app.letters;

import io.swagger.v3.oas.annotations.media.Schema;
import org.opentrellis.app.http.Schemas;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/house-style")
class HouseStyleController {
  private final HouseStyles styles;
  private final StyleSamples samples;

  HouseStyleController(HouseStyles styles, StyleSamples samples) {
    this.styles = styles;
    this.samples = samples;
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

  /**
   * A style in which a letter is to be seen.
   *
   * @param dark whether the reader's system is dark
   */
  record SampleOrder(@Schema(ref = Schemas.HOUSE_STYLE) JsonNode style, boolean dark) {}

  record StyleSample(String html) {}

  /** A letter in a style that is being chosen; nothing is kept. */
  @PostMapping("/samples")
  StyleSample makeStyleSample(@RequestBody SampleOrder order) {
    return new StyleSample(samples.in(order.style(), order.dark()));
  }
}
