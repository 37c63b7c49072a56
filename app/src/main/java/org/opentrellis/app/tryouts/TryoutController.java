package org.opentrellis.app.tryouts;

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
@RequestMapping("/api/journeys/{id}/tryout")
class TryoutController {
  private final Tryouts tryouts;

  TryoutController(Tryouts tryouts) {
    this.tryouts = tryouts;
  }

  /** Whoever tries a journey on themselves, if somebody does, and what happened to them. */
  @GetMapping
  TryoutView getTryout(@PathVariable long id) {
    return tryouts.view(id);
  }

  /** Begins to try it, with the journey as it is saved; who did before is forgotten. */
  @PutMapping
  TryoutView beginTryout(@PathVariable long id, @RequestBody TryoutOrders.TryoutWho who) {
    return tryouts.begin(id, who);
  }

  @PostMapping("/acts")
  @ResponseStatus(HttpStatus.OK)
  TryoutView actInTryout(@PathVariable long id, @RequestBody TryoutOrders.TryoutAct act) {
    return tryouts.act(id, act);
  }

  /** Throws it away. */
  @DeleteMapping
  TryoutView endTryout(@PathVariable long id) {
    return tryouts.end(id);
  }
}
