package org.opentrellis.app.walks;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/journeys/{id}")
class WalkController {
  private final Walks walks;

  WalkController(Walks walks) {
    this.walks = walks;
  }

  /** Walks as far as choices have been made; nothing is kept. */
  @PostMapping("/walks")
  WalkView walk(@PathVariable long id, @RequestBody WalkOrder order) {
    return walks.go(id, order);
  }

  @GetMapping("/kept-walks")
  List<WalkView.KeptWalkView> listKeptWalks(@PathVariable long id) {
    return walks.kept(id);
  }

  @PostMapping("/kept-walks")
  @ResponseStatus(HttpStatus.CREATED)
  List<WalkView.KeptWalkView> keepWalk(@PathVariable long id, @RequestBody WalkView.KeepWalk walk) {
    return walks.keep(id, walk);
  }

  @DeleteMapping("/kept-walks/{walk}")
  List<WalkView.KeptWalkView> forgetWalk(@PathVariable long id, @PathVariable long walk) {
    return walks.forget(id, walk);
  }
}
