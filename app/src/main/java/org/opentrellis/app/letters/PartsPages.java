package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Passages;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows the parts of messages on pages of the web, to somebody of whom nothing is known. */
@Service
@Transactional(readOnly = true)
public class PartsPages {
  private final MessageLibrary library;
  private final HouseStyles styles;
  private final Printing printing;
  private final Account account;
  private final Recipients recipients;
  private final ProofAddresses addresses;

  PartsPages(
      MessageLibrary library,
      HouseStyles styles,
      Printing printing,
      Account account,
      Recipients recipients,
      ProofAddresses addresses) {
    this.library = library;
    this.styles = styles;
    this.printing = printing;
    this.account = account;
    this.recipients = recipients;
    this.addresses = addresses;
  }

  /** Why a message cannot be shown so, as a sentence goes on with it. */
  public Optional<String> fault(MessageId id) {
    Optional<Written> written = library.find(id);
    if (written.isEmpty()) {
      return Optional.of("is not there any more");
    }
    return written.get().manuscript() instanceof Manuscript.Email
        ? Optional.empty()
        : Optional.of("is a text, which has no parts");
  }

  /** What a message is called; its number if it is not there any more. */
  public String called(MessageId id) {
    return library.find(id).map(Written::name).orElse(id.value());
  }

  /** A whole HTML page; nothing if there is a fault. */
  public Optional<String> html(MessageId id) {
    return library
        .find(id)
        .map(Written::manuscript)
        .filter(Manuscript.Email.class::isInstance)
        .map(email -> html((Manuscript.Email) email));
  }

  private String html(Manuscript.Email email) {
    AccountWriter writer = account.writer();
    Optional<Sender> sender = Senders.of(email, writer);
    Letterhead head = styles.letterhead();
    Whoever reader = recipients.madeUp(MadeUpPerson.NOBODY, email, writer, sender);
    return printing
        .of(email, head, Passages.holding(email, reader))
        .fill(new Filling(reader, head.regional()), reader, addresses);
  }
}
