package org.opentrellis.app.journeys;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.core.report.QuickLook;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys")
class JourneyController {
  /** What has been saved is not told later than this for an estimate's sake. */
  private static final Duration PATIENCE = Duration.ofMillis(60);

  private final Journeys journeys;
  private final JourneyShelf shelf;
  private final EstimateAtHand estimates;

  JourneyController(Journeys journeys, JourneyShelf shelf, EstimateAtHand estimates) {
    this.journeys = journeys;
    this.shelf = shelf;
    this.estimates = estimates;
  }

  @GetMapping("/names")
  List<Journeys.Named> listNames() {
    return journeys.names();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  JourneyView addJourney(@RequestBody JourneyEdits.NewJourney given) {
    return journeys.add(given);
  }

  @GetMapping("/{id}")
  JourneyView getJourney(@PathVariable long id) {
    return journeys.view(id);
  }

  /** The estimate comes along if it is there soon: it was begun while the journey was saved. */
  @PutMapping("/{id}")
  CompletableFuture<JourneyView> saveJourney(
      @PathVariable long id, @RequestBody JourneyEdits.JourneySave save) {
    journeys.requireJourney(id);
    Journeys.Saved saved = journeys.save(id, save);
    return estimate(saved.kept())
        .completeOnTimeout(null, PATIENCE.toMillis(), TimeUnit.MILLISECONDS)
        .exceptionally(failed -> null)
        .thenApply(saved.view()::with);
  }

  private CompletableFuture<@Nullable QuickLook> estimate(KeptJourney kept) {
    try {
      return estimates.look(kept).thenApply(estimate -> estimate);
    } catch (Refusal busy) {
      return CompletableFuture.completedFuture(null);
    }
  }

  @PutMapping("/{id}/state")
  JourneyView changeState(@PathVariable long id, @RequestBody JourneyEdits.StateSave save) {
    journeys.requireJourney(id);
    return shelf.change(id, save);
  }

  @PostMapping("/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  JourneyView duplicateJourney(@PathVariable long id) {
    journeys.requireJourney(id);
    return shelf.duplicate(id);
  }

  @PutMapping("/{id}/archived")
  JourneyView archiveJourney(@PathVariable long id) {
    journeys.requireJourney(id);
    return shelf.archive(id, true);
  }

  @DeleteMapping("/{id}/archived")
  JourneyView bringJourneyBack(@PathVariable long id) {
    journeys.requireJourney(id);
    return shelf.archive(id, false);
  }

  @PutMapping("/{id}/behaviour")
  JourneyView saveBehaviour(@PathVariable long id, @RequestBody JourneyEdits.BehaviourSave save) {
    return journeys.saveBehaviour(id, save);
  }
}
