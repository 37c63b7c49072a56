package org.opentrellis.app.compare;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/comparisons")
class ComparisonController {
  private final Comparisons comparisons;

  ComparisonController(Comparisons comparisons) {
    this.comparisons = comparisons;
  }

  @GetMapping
  ComparisonView compare(@RequestParam List<Long> runs) {
    return comparisons.of(runs);
  }
}
