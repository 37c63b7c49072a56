package org.opentrellis.app.standins;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
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
  private final Environment environment;

  /** A new one at each start: it forgets who takes mail for its users when it stops. */
  private volatile @Nullable GreenMail server;

  MailServer(TrellisSettings settings, Inbox inbox, Environment environment) {
    this.settings = settings;
    this.inbox = inbox;
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
              inbox.take(message.getMessage(), mailbox.getEmail());
              return new NoMailbox(mailbox.getEmail());
            });
    return fresh;
  }

  public String host() {
    return HERE;
  }

  /** Where the application itself listens, without a slash at its end. */
  String ownAddress() {
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
    }
  }

  @Override
  public boolean isRunning() {
    return server != null;
  }
}
