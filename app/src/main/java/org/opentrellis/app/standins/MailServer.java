package org.opentrellis.app.standins;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.TrellisSettings;
import org.springframework.context.SmartLifecycle;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * The stand-in mail server: takes every mail over SMTP, on this machine only, and puts it into the
 * inbox. Nothing leaves the machine by it.
 */
@Component
public class MailServer implements SmartLifecycle {
  private static final String HERE = "127.0.0.1";

  private final TrellisSettings settings;
  private final Inbox inbox;
  private final MailPile pile;
  private final Environment environment;

  /** A new one at each start: it forgets who takes mail for its users when it stops. */
  private volatile @Nullable GreenMail server;

  MailServer(TrellisSettings settings, Inbox inbox, MailPile pile, Environment environment) {
    this.settings = settings;
    this.inbox = inbox;
    this.pile = pile;
    this.environment = environment;
  }

  private GreenMail fresh() {
    GreenMail fresh =
        new GreenMail(new ServerSetup(settings.smtpPort(), HERE, ServerSetup.PROTOCOL_SMTP));
    fresh.getUserManager().setAuthRequired(false);
    fresh
        .getUserManager()
        .setMessageDeliveryHandler(
            (message, mailbox) -> {
              take(message.getMessage(), mailbox.getEmail());
              return new NoMailbox(mailbox.getEmail());
            });
    return fresh;
  }

  /** What reports of other mail, or answers it, is heard of at once. */
  private void take(MimeMessage message, String address) throws MessagingException {
    InboxMapper.NewMail mail = inbox.came(message, address);
    if (message.isMimeType("multipart/report") || message.getHeader("In-Reply-To") != null) {
      inbox.putAndTell(mail);
    } else {
      pile.add(mail);
    }
  }

  /** Has all mail that it took put into the mailboxes, on the disk, before this returns. */
  public void settle() {
    pile.keep();
  }

  public String host() {
    return HERE;
  }

  /** Where the application itself listens, without a slash at its end. */
  public String ownAddress() {
    return "http://" + HERE + ":" + environment.getRequiredProperty("local.server.port");
  }

  /** The port that it listens on; 0 while it does not. */
  public int port() {
    GreenMail listening = server;
    return listening == null ? 0 : listening.getSmtp().getPort();
  }

  @Override
  public void start() {
    GreenMail fresh = fresh();
    fresh.start();
    server = fresh;
  }

  @Override
  public void stop() {
    GreenMail listening = server;
    server = null;
    if (listening != null) {
      listening.stop();
      settle();
    }
  }

  @Override
  public boolean isRunning() {
    return server != null;
  }
}
