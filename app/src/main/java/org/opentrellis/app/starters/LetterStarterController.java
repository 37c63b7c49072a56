package org.opentrellis.app.starters;

import java.util.List;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.MessageSheet;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/message-starters")
class LetterStarterController {
  private final LetterStarters starters;
  private final MessageLibrary messages;

  LetterStarterController(LetterStarters starters, MessageLibrary messages) {
    this.starters = starters;
    this.messages = messages;
  }

  @GetMapping
  List<LetterStarterView> listMessageStarters() {
    return starters.all().stream().map(LetterStarterView::of).toList();
  }

  /** Adds a message as a starter has it. */
  @PostMapping("/{id}/messages")
  @ResponseStatus(HttpStatus.CREATED)
  MessageSheet beginMessage(@PathVariable String id) {
    LetterStarter starter = starters.find(id).orElseThrow(() -> NotFound.of("message starter", id));
    return messages.begin(starter.name(), starter.email(), starter.id());
  }
}
