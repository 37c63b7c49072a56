package org.opentrellis.app.letters;

import java.util.Optional;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.message.Manuscript;

/** Who a message comes from. */
final class Senders {
  private Senders() {}

  /** One of the account's that is said by its address or name. */
  static Optional<Sender> said(String said, AccountWriter writer) {
    return writer.senders().stream()
        .filter(
            one ->
                one.address().value().equalsIgnoreCase(said) || one.name().equalsIgnoreCase(said))
        .findFirst();
  }

  /** The one that it says, or the first of the account; empty if the account has none such. */
  static Optional<Sender> of(Manuscript.Email email, AccountWriter writer) {
    return email
        .sender()
        .map(
            said ->
                writer.senders().stream()
                    .filter(one -> one.address().value().equalsIgnoreCase(said))
                    .findFirst())
        .orElseGet(() -> writer.senders().stream().findFirst());
  }
}
