package org.opentrellis.app.live;

import org.opentrellis.core.live.LiveTurn;
import org.springframework.stereotype.Component;

/** Who answers for the mail server at the moment at which a message goes out. */
@Component
class AtOnce {

  /** Nobody: a mail server answers once a message was handed over to it. */
  LiveTurn.MailServer of(long person) {
    return LiveTurn.MailServer.LATER;
  }
}
