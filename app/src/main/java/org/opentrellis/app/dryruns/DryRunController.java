package org.opentrellis.app.dryruns;

import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.report.QuickLook;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class DryRunController {
  private final DryRuns dryRuns;
  private final RunDesk desk;
  private final Outlooks outlooks;
  private final Estimates estimates;

  DryRunController(DryRuns dryRuns, RunDesk desk, Outlooks outlooks, Estimates estimates) {
    this.dryRuns = dryRuns;
    this.outlooks = outlooks;
    this.desk = desk;
    this.estimates = estimates;
  }

  @PostMapping("/dry-runs")
  @ResponseStatus(HttpStatus.ACCEPTED)
  RunProgress beginDryRun(@RequestBody RunOrder order) {
    return dryRuns.begin(order);
  }

  /** Where such a run would be made, and how long it would take. */
  @PostMapping("/dry-runs/outlook")
  RunOutlook lookAhead(@RequestBody RunOrder order) {
    return outlooks.of(order);
  }

  @GetMapping("/runs-on-their-way/{job}")
  RunProgress getProgress(@PathVariable long job) {
    return desk.progress(job);
  }

  @DeleteMapping("/runs-on-their-way/{job}")
  RunProgress cancelDryRun(@PathVariable long job) {
    return desk.cancel(job);
  }

  @PostMapping("/journeys/{id}/estimates")
  CompletableFuture<QuickLook> estimate(@PathVariable long id) {
    return estimates.look(id);
  }

  /** The pinned first, then the newest; pages count from 0. */
  @GetMapping("/dry-runs")
  RunPage listDryRuns(
      @RequestParam(required = false) @Nullable Long journey,
      @RequestParam(defaultValue = "0") int page) {
    return dryRuns.newest(journey, page);
  }

  @GetMapping("/dry-runs/{id}")
  DryRunView getDryRun(@PathVariable long id) {
    return dryRuns.view(id);
  }

  @PutMapping("/dry-runs/{id}/label")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void labelDryRun(@PathVariable long id, @RequestBody RunLabel label) {
    dryRuns.label(id, label);
  }

  @DeleteMapping("/dry-runs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteDryRun(@PathVariable long id) {
    dryRuns.delete(id);
  }

  @PostMapping("/dry-runs/{id}/repeats")
  @ResponseStatus(HttpStatus.ACCEPTED)
  RunProgress repeatDryRun(@PathVariable long id) {
    return dryRuns.repeat(id);
  }
}
