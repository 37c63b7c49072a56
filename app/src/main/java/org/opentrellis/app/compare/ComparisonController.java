package org.opentrellis.app.compare;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ComparisonController {
  private final Comparisons comparisons;
  private final KeptComparisons kept;

  ComparisonController(Comparisons comparisons, KeptComparisons kept) {
    this.comparisons = comparisons;
    this.kept = kept;
  }

  @GetMapping("/comparisons")
  CompletableFuture<ComparisonView> compare(
      @RequestParam List<String> runs,
      @RequestParam(required = false) @Nullable Integer baseline,
      @RequestParam(required = false) @Nullable LineUp lineUp,
      @RequestParam(required = false) @Nullable Compared compared) {
    return comparisons.of(runs, baseline, lineUp, compared);
  }

  @GetMapping("/kept-comparisons")
  List<KeptComparison> listKeptComparisons() {
    return kept.all();
  }

  @PostMapping("/kept-comparisons")
  KeptComparison keepComparison(@RequestBody KeptComparison.KeepOrder order) {
    return kept.keep(order);
  }

  @DeleteMapping("/kept-comparisons/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteKeptComparison(@PathVariable long id) {
    kept.delete(id);
  }
}
