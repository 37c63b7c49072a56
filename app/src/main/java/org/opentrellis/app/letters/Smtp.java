package org.opentrellis.app.letters;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeMessage;
import java.util.Properties;
import org.opentrellis.app.standins.MailServer;
import org.opentrellis.app.standins.OnTheirWay;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.MimeWriter;
import org.springframework.stereotype.Component;

/** Hands letters over to the mail server (RFC 5321). */
@Component
public class Smtp {
  private static final String PATIENCE_MILLIS = "10000";

  private final MailServer server;
  private final OnTheirWay onTheirWay;

  Smtp(MailServer server, OnTheirWay onTheirWay) {
    this.server = server;
    this.onTheirWay = onTheirWay;
  }

  /** A connection to the server over which letters go one after another. */
  public final class Connection implements AutoCloseable {
    private final Transport transport;

    private Connection(Transport transport) {
      this.transport = transport;
    }

    /**
     * @throws MessagingException if the server does not take it
     */
    public MimeMessage send(Letter letter) throws MessagingException {
      MimeMessage message = MimeWriter.message(letter);
      onTheirWay.setsOut(letter.messageId());
      transport.sendMessage(message, message.getAllRecipients());
      return message;
    }

    @Override
    public void close() throws MessagingException {
      transport.close();
    }
  }

  /**
   * @throws MessagingException if the server does not answer
   */
  public Connection connect() throws MessagingException {
    if (!server.isRunning()) {
      throw new MessagingException("The mail server does not answer.");
    }
    Session session = Session.getInstance(properties());
    Transport transport = session.getTransport("smtp");
    transport.connect();
    return new Connection(transport);
  }

  private Properties properties() {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", server.host());
    properties.put("mail.smtp.port", Integer.toString(server.port()));
    properties.put("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.timeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.localhost", "localhost");
    properties.put("mail.smtp.socketFactory", new PromptSockets());
    return properties;
  }
}
