package org.opentrellis.app.letters;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes letters out for one person, ready to go. */
@Service
@Transactional
class Letters {
  private final MessageLibrary library;
  private final Account account;
  private final Recipients recipients;
  private final Writing writing;

  Letters(MessageLibrary library, Account account, Recipients recipients, Writing writing) {
    this.library = library;
    this.account = account;
    this.recipients = recipients;
    this.writing = writing;
  }

  /** Where tests go unless something else is said. */
  Optional<String> ownAddress() {
    return account.writer().senders().stream().findFirst().map(one -> one.address().value());
  }

  /**
   * A test of a message, as one person would get it. It counts for nobody.
   *
   * @param to whose mailbox it goes to
   * @throws ProblemsFound if it is no email, or if nobody is known to send it
   */
  Letter test(MessageId id, TestOrder order, EmailAddress to) {
    Written written = library.written(id);
    if (!(written.manuscript() instanceof Manuscript.Email email)) {
      throw refused(
          "no-email",
          "\u201c%s\u201d is a text: its proof shows it as a phone does."
              .formatted(written.name()));
    }
    AccountWriter writer = account.writer();
    Sender sender =
        Senders.of(email, writer)
            .orElseThrow(
                () -> refused("no-sender", "Say on the page Account who emails come from."));
    Whoever reader =
        order.person() == null
            ? recipients.madeUp(
                order.made() == null ? MadeUpPerson.NOBODY : order.made(),
                email,
                writer,
                Optional.of(sender))
            : recipients.known(order.person(), writer, Optional.of(sender));
    return writing.test(id, email, sender, reader, to);
  }

  private static ProblemsFound refused(String code, String sentence) {
    return new ProblemsFound(List.of(new Problem(code, "", sentence)));
  }
}
