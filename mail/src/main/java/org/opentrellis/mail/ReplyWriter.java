package org.opentrellis.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.nio.charset.StandardCharsets;

/** Writes what the reader of a mail answers, as mail programs do (RFC 5322, section 3.6.4). */
public final class ReplyWriter {
  private ReplyWriter() {}

  /**
   * @param original the mail that is answered
   * @param from the address of its reader
   * @param words what they write
   */
  public static MimeMessage of(MimeMessage original, String from, String words)
      throws MessagingException {
    MimeMessage reply = (MimeMessage) original.reply(false);
    reply.setFrom(new InternetAddress(from));
    reply.setText(words, StandardCharsets.UTF_8.name());
    reply.saveChanges();
    return reply;
  }
}
