package org.opentrellis.app.letters;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeMessage;
import java.util.Properties;
import org.opentrellis.app.standins.OnTheirWay;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.MimeWriter;
import org.springframework.stereotype.Component;

/** Hands letters over to the mail server (RFC 5321). */
@Component
public class Smtp {
  private static final String PATIENCE_MILLIS = "10000";

  private final MailRoute route;
  private final OnTheirWay onTheirWay;

  Smtp(MailRoute route, OnTheirWay onTheirWay) {
    this.route = route;
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
    MailRoute.Place to =
        route.to().orElseThrow(() -> new MessagingException("The mail server does not answer."));
    Session session = Session.getInstance(properties(to));
    Transport transport = session.getTransport("smtp");
    transport.connect(
        route.login().map(MailRoute.Login::user).orElse(null),
        route.login().map(MailRoute.Login::password).orElse(null));
    return new Connection(transport);
  }

  /** Has the server keep what it took: good to call before that is noted. */
  public void settle() {
    route.settle();
  }

  private Properties properties(MailRoute.Place to) {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", to.host());
    properties.put("mail.smtp.port", Integer.toString(to.port()));
    if (route.leavesTo().isPresent()) {
      boolean login = route.login().isPresent();
      properties.put("mail.smtp.auth", Boolean.toString(login));
      properties.put("mail.smtp.ssl.enable", Boolean.toString(to.tlsAtOnce()));
      properties.put("mail.smtp.ssl.checkserveridentity", "true");
      properties.put("mail.smtp.starttls.enable", "true");
      // A password never goes over the wire for all to read, but to this machine itself.
      properties.put("mail.smtp.starttls.required", Boolean.toString(login && !to.isHere()));
    }
    properties.put("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.timeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.localhost", "localhost");
    properties.put("mail.smtp.socketFactory", new PromptSockets());
    return properties;
  }
}
