package org.opentrellis.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.Properties;

/**
 * An answer to a mail that was sent.
 *
 * @param messageId of the mail that is answered, without angle brackets
 * @param words how it begins, in one line; empty if it is not plain text
 */
public record MailReply(String messageId, String words) {
  private static final Session SESSION = Session.getInstance(new Properties());
  private static final int LONGEST = 300;

  /** Of a mail, if it answers one (RFC 5322, section 3.6.4). */
  public static Optional<MailReply> of(byte[] mail) {
    try {
      MimeMessage message = new MimeMessage(SESSION, new ByteArrayInputStream(mail));
      String[] answered = message.getHeader("In-Reply-To");
      return answered == null
          ? Optional.empty()
          : Optional.of(
              new MailReply(answered[0].replaceAll("[<>\\s]", ""), words(message.getContent())));
    } catch (MessagingException | IOException unreadable) {
      return Optional.empty();
    }
  }

  private static String words(Object content) {
    String line = content instanceof String text ? text.strip().replaceAll("\\s+", " ") : "";
    return line.length() > LONGEST ? line.substring(0, LONGEST - 1) + "\u2026" : line;
  }
}
