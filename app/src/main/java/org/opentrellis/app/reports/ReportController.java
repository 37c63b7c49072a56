package org.opentrellis.app.reports;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Files to be kept or sent on. */
@RestController
@RequestMapping("/api")
class ReportController {
  private static final String CSV = "text/csv;charset=UTF-8";
  private static final String HTML = "text/html;charset=UTF-8";
  private static final String CALENDAR = "text/calendar;charset=UTF-8";

  private final RunFiles runs;
  private final ComparisonFiles comparisons;

  ReportController(RunFiles runs, ComparisonFiles comparisons) {
    this.runs = runs;
    this.comparisons = comparisons;
  }

  @GetMapping("/dry-runs/{id}/steps.csv")
  ResponseEntity<String> stepsAsCsv(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return file(CSV, "steps-of-run-" + id + ".csv", runs.steps(id, number));
  }

  @GetMapping("/dry-runs/{id}/paths.csv")
  ResponseEntity<String> pathsAsCsv(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return file(CSV, "paths-of-run-" + id + ".csv", runs.paths(id, number));
  }

  @GetMapping("/dry-runs/{id}/curves.csv")
  ResponseEntity<String> curvesAsCsv(
      @PathVariable long id, @RequestParam(defaultValue = "0") int number) {
    return file(CSV, "days-of-run-" + id + ".csv", runs.curves(id, number));
  }

  @GetMapping("/dry-runs/{id}/outgoing.csv")
  ResponseEntity<String> outgoingAsCsv(@PathVariable long id) {
    return file(CSV, "sent-by-run-" + id + ".csv", runs.outgoing(id));
  }

  @GetMapping("/dry-runs/{id}/plan.ics")
  ResponseEntity<String> planAsCalendar(@PathVariable long id) {
    return file(CALENDAR, "plan-of-run-" + id + ".ics", runs.plan(id));
  }

  @GetMapping("/dry-runs/{id}/report.html")
  ResponseEntity<String> reportAsHtml(@PathVariable long id) {
    return file(HTML, "report-of-run-" + id + ".html", runs.report(id));
  }

  @GetMapping("/comparisons.csv")
  CompletableFuture<ResponseEntity<String>> comparisonAsCsv(
      @RequestParam List<String> runs,
      @RequestParam(required = false) @Nullable Integer baseline,
      @RequestParam(required = false) @Nullable LineUp lineUp,
      @RequestParam(required = false) @Nullable Compared compared) {
    return comparisons
        .table(runs, baseline, lineUp, compared)
        .thenApply(text -> file(CSV, "side-by-side.csv", text));
  }

  @GetMapping("/comparisons.html")
  CompletableFuture<ResponseEntity<String>> comparisonAsHtml(
      @RequestParam List<String> runs,
      @RequestParam(required = false) @Nullable Integer baseline,
      @RequestParam(required = false) @Nullable LineUp lineUp,
      @RequestParam(required = false) @Nullable Compared compared) {
    return comparisons
        .report(runs, baseline, lineUp, compared)
        .thenApply(text -> file(HTML, "side-by-side.html", text));
  }

  private static ResponseEntity<String> file(String type, String name, String text) {
    ContentDisposition disposition = ContentDisposition.attachment().filename(name).build();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, type)
        .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
        .body(text);
  }
}
