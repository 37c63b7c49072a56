package org.opentrellis.app.messages;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.opentrellis.app.http.Schemas;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.problem.ProblemsFound;
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
@RequestMapping("/api/messages")
class MessageController {
  private final MessageLibrary library;

  MessageController(MessageLibrary library) {
    this.library = library;
  }

  @GetMapping
  List<MessageView> listMessages() {
    return library.views();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  MessageView addMessage(@RequestBody MessageEdit edit) {
    return library.add(edit);
  }

  @GetMapping("/{id}/versions")
  List<MessageView> listMessageVersions(@PathVariable String id) {
    return library.versions(id);
  }

  @PutMapping("/{id}")
  MessageView saveMessage(@PathVariable String id, @RequestBody MessageEdit edit) {
    return library.save(id, edit);
  }

  @GetMapping("/{id}")
  MessageSheet getMessage(@PathVariable String id) {
    return library.sheet(id);
  }

  @PutMapping("/{id}/manuscript")
  MessageSheet saveManuscript(@PathVariable String id, @RequestBody MessageDraft draft) {
    return library.save(id, draft);
  }

  @PostMapping("/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  MessageSheet copyMessage(@PathVariable String id) {
    return library.copy(id);
  }

  @PutMapping("/{id}/archived")
  MessageSheet archiveMessage(@PathVariable String id) {
    return library.archive(id, true);
  }

  @DeleteMapping("/{id}/archived")
  MessageSheet bringMessageBack(@PathVariable String id) {
    return library.archive(id, false);
  }

  @GetMapping("/{id}/history")
  List<MessageVersionLine> listMessageHistory(@PathVariable String id) {
    return library.history(id);
  }

  @GetMapping("/{id}/history/{version}")
  MessageSheet getMessageVersion(@PathVariable String id, @PathVariable int version) {
    return library.version(id, version);
  }

  /** Two messages of which the differences are wanted. */
  record TwoManuscripts(
      @Schema(ref = Schemas.MANUSCRIPT) JsonNode before,
      @Schema(ref = Schemas.MANUSCRIPT) JsonNode after) {}

  /** What is different between two messages, line by line; nothing is kept. */
  @PostMapping("/differences")
  List<MessageVersionLine.MessageChange> compareMessages(@RequestBody TwoManuscripts two) {
    return MessageHistory.changes(
        ProblemsFound.within("/before", () -> Documents.readManuscript(two.before())),
        ProblemsFound.within("/after", () -> Documents.readManuscript(two.after())));
  }
}
