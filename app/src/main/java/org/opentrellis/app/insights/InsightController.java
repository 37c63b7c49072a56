package org.opentrellis.app.insights;

import java.util.concurrent.CompletableFuture;
import org.opentrellis.core.report.OpensOfTen;
import org.opentrellis.core.vary.WhatMatters;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class InsightController {
  private final Insights insights;

  InsightController(Insights insights) {
    this.insights = insights;
  }

  @GetMapping("/dry-runs/{id}/what-matters")
  CompletableFuture<WhatMatters> whatMatters(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return insights.whatMatters(id, number);
  }

  @GetMapping("/dry-runs/{id}/sweeps")
  CompletableFuture<WhatMatters.Sweep> sweep(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int number,
      @RequestParam String of) {
    return insights.sweep(id, number, of);
  }

  @PostMapping("/dry-runs/{id}/previews")
  CompletableFuture<PreviewView> preview(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int number,
      @RequestBody PreviewOrder order) {
    return insights.preview(id, number, order);
  }

  @GetMapping("/opens-of-ten")
  OpensOfTen opensOfTen(@RequestParam double keenness, @RequestParam double spread) {
    return insights.opensOfTen(keenness, spread);
  }
}
