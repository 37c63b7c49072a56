package org.opentrellis.app.entrances;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
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
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/entrances")
class EntranceController {
  private final Entrances entrances;

  EntranceController(Entrances entrances) {
    this.entrances = entrances;
  }

  /** What an entrance is to be called. */
  record EntranceName(String name) {}

  @GetMapping
  List<EntranceView> listEntrances() {
    return entrances.list();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  EntranceView addEntrance(@RequestBody EntranceName asked) {
    return entrances.add(asked.name());
  }

  /** An entrance that is being changed. */
  record EntranceGiven(@Schema(ref = Schemas.ENTRANCE) JsonNode entrance) {}

  /** How an entrance would be that is being changed; nothing is kept. */
  @PostMapping("/looks")
  EntranceLook lookAtEntrance(@RequestBody EntranceGiven given) {
    return entrances.look(given.entrance());
  }

  @GetMapping("/{id}")
  EntranceView getEntrance(@PathVariable long id) {
    return entrances.view(id);
  }

  @PutMapping("/{id}")
  EntranceView saveEntrance(@PathVariable long id, @RequestBody EntranceDraft draft) {
    return entrances.save(id, draft);
  }

  /** People can come in from now on. */
  @PutMapping("/{id}/on")
  EntranceView turnEntranceOn(@PathVariable long id) {
    return entrances.turn(id, true);
  }

  @DeleteMapping("/{id}/on")
  EntranceView turnEntranceOff(@PathVariable long id) {
    return entrances.turn(id, false);
  }

  /** A code that leads phones to it, to be printed. */
  @GetMapping(value = "/{id}/code", produces = "image/svg+xml")
  String getEntranceCode(@PathVariable long id) {
    return entrances.code(id);
  }

  @PostMapping("/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  EntranceView copyEntrance(@PathVariable long id) {
    return entrances.copy(id);
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteEntrance(@PathVariable long id) {
    entrances.delete(id);
  }
}
