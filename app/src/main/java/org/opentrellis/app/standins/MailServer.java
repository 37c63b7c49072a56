package org.opentrellis.app.standins;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
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

  private final GreenMail server;
  private final Environment environment;
  private volatile boolean running;

  MailServer(TrellisSettings settings, Inbox inbox, Environment environment) {
    this.environment = environment;
    this.server =
        new GreenMail(new ServerSetup(settings.smtpPort(), HERE, ServerSetup.PROTOCOL_SMTP));
    server.getUserManager().setAuthRequired(false);
    server
        .getUserManager()
        .setMessageDeliveryHandler(
            (message, mailbox) -> {
              inbox.take(message.getMessage(), mailbox.getEmail());
              return new NoMailbox(mailbox.getEmail());
            });
  }

  public String host() {
    return HERE;
  }

  /** Where the application itself listens, without a slash at its end. */
  String ownAddress() {
    return "http://" + HERE + ":" + environment.getRequiredProperty("local.server.port");
  }

  /** The port that it listens on. */
  public int port() {
    return server.getSmtp().getPort();
  }

  @Override
  public void start() {
    server.start();
    running = true;
  }

  @Override
  public void stop() {
    running = false;
    server.stop();
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
