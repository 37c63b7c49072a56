package org.opentrellis.app.standins;

import java.util.OptionalLong;
import org.springframework.stereotype.Service;

/** Somebody's mailbox at the stand-in mail server. */
@Service
public class Mailbox {
  private final Inbox inbox;
  private final MailServer server;

  Mailbox(Inbox inbox, MailServer server) {
    this.inbox = inbox;
    this.server = server;
  }

  /**
   * The newest mail in it of which the Message-ID begins so.
   *
   * @return its number; empty if there is none
   */
  public OptionalLong newest(String address, String messageId) {
    server.settle();
    return inbox.newest(address, "<" + messageId);
  }
}
