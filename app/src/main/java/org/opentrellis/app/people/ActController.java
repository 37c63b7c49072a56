package org.opentrellis.app.people;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people-acts")
class ActController {
  private final Acts acts;

  ActController(Acts acts) {
    this.acts = acts;
  }

  @GetMapping
  List<ActView> listActs() {
    return acts.newest();
  }

  /** Says what would happen; nothing is done. */
  @PostMapping("/previews")
  ManyPreview previewAct(@RequestBody ManyOrder order) {
    return acts.preview(order);
  }

  @PostMapping
  ActView beginAct(@RequestBody ManyOrder order) {
    return acts.begin(order);
  }

  @GetMapping("/{id}")
  ActView getAct(@PathVariable long id) {
    return acts.view(id);
  }

  @PostMapping("/{id}/back")
  ActView takeActBack(@PathVariable long id) {
    return acts.takeBack(id);
  }

  /** Goes on with one that a full disk, for example, has stopped. */
  @PostMapping("/{id}/on")
  ActView goOnWithAct(@PathVariable long id) {
    return acts.goOn(id);
  }
}
