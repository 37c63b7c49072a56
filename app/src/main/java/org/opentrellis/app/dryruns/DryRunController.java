package org.opentrellis.app.dryruns;

import java.util.List;
import org.opentrellis.core.measure.RunMeasures;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class DryRunController {
  private final DryRuns dryRuns;

  DryRunController(DryRuns dryRuns) {
    this.dryRuns = dryRuns;
  }

  @PostMapping("/journeys/{id}/dry-runs")
  @ResponseStatus(HttpStatus.CREATED)
  DryRunView runDry(@PathVariable long id, @RequestBody DryRunOrder order) {
    return dryRuns.run(id, order);
  }

  @PostMapping("/journeys/{id}/estimates")
  RunMeasures estimate(@PathVariable long id) {
    return dryRuns.estimate(id);
  }

  @GetMapping("/dry-runs")
  List<DryRunSummary> listDryRuns() {
    return dryRuns.newest();
  }

  @GetMapping("/dry-runs/{id}")
  DryRunView getDryRun(@PathVariable long id) {
    return dryRuns.view(id);
  }
}
