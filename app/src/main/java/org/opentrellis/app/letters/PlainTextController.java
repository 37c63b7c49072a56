package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.PlainBegun;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PlainTextController {
  private final Account account;

  PlainTextController(Account account) {
    this.account = account;
  }

  /** A message with a plain text to go on with by hand, made from its parts; nothing is kept. */
  @PostMapping("/api/messages/plain-text")
  ManuscriptOnly beginPlainText(@RequestBody ManuscriptOnly given) {
    Manuscript manuscript =
        ProblemsFound.within("/manuscript", () -> Documents.readManuscript(given.manuscript()));
    Manuscript begun =
        switch (manuscript) {
          case Manuscript.Email email ->
              email.withPlain(Optional.of(PlainBegun.of(email, account.writer().regional())));
          case Manuscript.Text text -> text;
        };
    return new ManuscriptOnly(Documents.write(begun));
  }
}
