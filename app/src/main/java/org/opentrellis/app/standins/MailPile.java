package org.opentrellis.app.standins;

import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Mail that the stand-in server has taken and not put into the mailboxes yet. Much of it is put
 * there together, since whatever is forced onto the disk takes its time. Whoever notes that a mail
 * was handed over has it {@link #keep kept} before.
 */
@Component
class MailPile {
  private static final Logger LOG = LoggerFactory.getLogger(MailPile.class);
  private static final int MOST = 200;

  private final Inbox inbox;
  private final List<InboxMapper.NewMail> waiting = new ArrayList<>();
  private volatile boolean troubled;

  MailPile(Inbox inbox) {
    this.inbox = inbox;
  }

  /**
   * A mail comes.
   *
   * @throws RuntimeException if mail cannot be kept just now, so that this is not taken
   */
  void add(InboxMapper.NewMail mail) {
    boolean full;
    synchronized (waiting) {
      full = troubled || waiting.size() >= MOST;
    }
    if (full) {
      keep();
    }
    synchronized (waiting) {
      waiting.add(mail);
    }
  }

  /** Has all that came put into the mailboxes before this returns. */
  synchronized void keep() {
    List<InboxMapper.NewMail> some;
    synchronized (waiting) {
      some = List.copyOf(waiting);
    }
    if (some.isEmpty()) {
      return;
    }
    try {
      inbox.put(some);
    } catch (RuntimeException failed) {
      troubled = true;
      throw failed;
    }
    troubled = false;
    synchronized (waiting) {
      waiting.subList(0, some.size()).clear();
    }
  }

  @Scheduled(initialDelay = 1000, fixedDelay = 250)
  void now() {
    try {
      keep();
    } catch (RuntimeException later) {
      LOG.debug("Mail waits to be put into its mailboxes.", later);
    }
  }
}
