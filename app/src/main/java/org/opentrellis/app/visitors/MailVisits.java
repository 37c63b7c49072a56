package org.opentrellis.app.visitors;

import java.util.Optional;
import java.util.OptionalLong;
import org.opentrellis.app.live.SentMail;
import org.opentrellis.app.standins.MailProgram;
import org.opentrellis.app.standins.Mailbox;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.LinkName;
import org.springframework.stereotype.Component;

/** What visitors and their mail servers do with the mail that lies in their mailboxes. */
@Component
class MailVisits {
  private static final String OF_JOURNEYS = "t";
  private static final String CONFIRMING = "confirm.";

  private final SentMail sent;
  private final Mailbox mailbox;
  private final MailProgram program;

  MailVisits(SentMail sent, Mailbox mailbox, MailProgram program) {
    this.sent = sent;
    this.mailbox = mailbox;
    this.program = program;
  }

  /**
   * Says by the link of a mail that it was they.
   *
   * @return whether there was such a mail
   */
  boolean confirms(String address) {
    OptionalLong mail = mailbox.newest(address, CONFIRMING);
    mail.ifPresent(id -> program.act(id, MailProgram.Deed.CONFIRM, 0));
    return mail.isPresent();
  }

  /**
   * Does something with a message.
   *
   * @return whether it is there
   */
  boolean does(long person, String address, Happening.OfMessage what) {
    OptionalLong mail = mail(person, address, Optional.of(what.message()));
    mail.ifPresent(
        id -> {
          switch (what) {
            case Happening.OpenRecorded recorded -> program.open(id, true);
            case Happening.Opened opened -> program.open(id, false);
            case Happening.Clicked clicked ->
                program.click(id, clicked.link().map(LinkName::value));
            case Happening.Bounced bounced ->
                program.act(
                    id,
                    bounced.forGood() ? MailProgram.Deed.BOUNCE : MailProgram.Deed.BOUNCE_FOR_NOW,
                    0);
            case Happening.Delivered delivered -> {}
          }
        });
    return mail.isPresent();
  }

  /** Unsubscribes by one click, in a message or the last that came. */
  boolean unsubscribes(long person, String address, Optional<MessageRef> message) {
    return acts(mail(person, address, message), MailProgram.Deed.UNSUBSCRIBE);
  }

  /** Complains about the last message that came. */
  boolean complains(long person, String address) {
    return acts(mail(person, address, Optional.empty()), MailProgram.Deed.COMPLAIN);
  }

  private boolean acts(OptionalLong mail, MailProgram.Deed deed) {
    mail.ifPresent(id -> program.act(id, deed, 0));
    return mail.isPresent();
  }

  private OptionalLong mail(long person, String address, Optional<MessageRef> message) {
    if (message.isEmpty()) {
      return mailbox.newest(address, OF_JOURNEYS);
    }
    return sent.messageId(person, message.get())
        .map(id -> mailbox.newest(address, id + "@"))
        .orElse(OptionalLong.empty());
  }
}
