package org.opentrellis.app.letters;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.LetterPress;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes letters out for one person, ready to go. */
@Service
@Transactional
class Letters {
  private static final Optional<LinkName> UNSUBSCRIBE =
      Optional.of(new LinkName(Letterhead.UNSUBSCRIBE));

  private final MessageLibrary library;
  private final Account account;
  private final HouseStyles styles;
  private final Recipients recipients;
  private final ProofAddresses here;
  private final PublicAddress address;
  private final SentMailMapper sent;
  private final Clock clock;

  Letters(
      MessageLibrary library,
      Account account,
      HouseStyles styles,
      Recipients recipients,
      ProofAddresses here,
      PublicAddress address,
      SentMailMapper sent,
      Clock clock) {
    this.library = library;
    this.account = account;
    this.styles = styles;
    this.recipients = recipients;
    this.here = here;
    this.address = address;
    this.sent = sent;
    this.clock = clock;
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
    Token token = Token.random();
    MailAddresses addresses = new MailAddresses(address.base(), token, here);
    Letterhead head = styles.letterhead();
    Filling filling = new Filling(reader, head.regional());
    String html =
        LetterPress.print(email, head, Passages.holding(email, reader))
            .fill(filling, reader, addresses);
    String plain = PlainText.of(email, head, reader, addresses);
    String unsubscribe = addresses.link(new Target.Unsubscribe(), UNSUBSCRIBE);
    OffsetDateTime now = OffsetDateTime.now(clock);
    sent.insert(token.hash(), id.value(), 0, true, Json.write(addresses.destinations()), now);
    return new Letter(
        sender,
        to,
        reader.called(),
        filling.of(email.subject()),
        token.value() + "@" + sender.address().value().replaceFirst(".*@", ""),
        now.toInstant(),
        html,
        plain,
        Optional.of(unsubscribe));
  }

  private static ProblemsFound refused(String code, String sentence) {
    return new ProblemsFound(List.of(new Problem(code, "", sentence)));
  }
}
