package org.opentrellis.app.standins;

import org.opentrellis.app.people.PersonForgotten;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Mailboxes and phones are kept here, too: those of people who are forgotten go with them. */
@Component
@Transactional
class ForgottenMail {
  private final MailPile pile;
  private final InboxMapper inbox;
  private final PhoneMapper phone;

  ForgottenMail(MailPile pile, InboxMapper inbox, PhoneMapper phone) {
    this.pile = pile;
    this.inbox = inbox;
    this.phone = phone;
  }

  @EventListener
  void follow(PersonForgotten forgotten) {
    pile.keep();
    inbox.forget(Inbox.key(forgotten.address()));
    if (forgotten.phone() != null) {
      phone.forget(forgotten.phone());
    }
  }
}
