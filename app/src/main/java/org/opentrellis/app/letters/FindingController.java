package org.opentrellis.app.letters;

import java.util.List;
import java.util.OptionalInt;
import org.opentrellis.app.journeys.AskedLinks;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FindingController {
  private final Proofreader proofreader;
  private final Proofs proofs;
  private final AskedLinks asked;

  FindingController(Proofreader proofreader, Proofs proofs, AskedLinks asked) {
    this.proofreader = proofreader;
    this.proofs = proofs;
    this.asked = asked;
  }

  /** What is wrong with a message as it stands while it is written; nothing is kept. */
  @PostMapping("/api/messages/{id}/findings")
  List<MessageFindingView> findInMessage(
      @PathVariable String id, @RequestBody ManuscriptOnly given) {
    Manuscript manuscript =
        ProblemsFound.within("/manuscript", () -> Documents.readManuscript(given.manuscript()));
    MessageId message = new MessageId(id);
    OptionalInt bytes = proofs.largest(manuscript);
    return proofreader.of(message, manuscript, asked.of(message), bytes).stream()
        .map(MessageFindingView::of)
        .toList();
  }
}
