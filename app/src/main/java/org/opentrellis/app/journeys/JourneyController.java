package org.opentrellis.app.journeys;

import java.util.List;
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
  private final Journeys journeys;
  private final JourneyShelf shelf;

  JourneyController(Journeys journeys, JourneyShelf shelf) {
    this.journeys = journeys;
    this.shelf = shelf;
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

  @PutMapping("/{id}")
  JourneyView saveJourney(@PathVariable long id, @RequestBody JourneyEdits.JourneySave save) {
    journeys.requireJourney(id);
    return journeys.save(id, save);
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
