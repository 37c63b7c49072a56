package org.opentrellis.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.StreamProvider;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Properties;
import java.util.stream.Collectors;
import org.apache.james.mime4j.codec.QuotedPrintableOutputStream;
import org.eclipse.angus.mail.util.MailStreamProvider;
import org.opentrellis.core.people.EmailAddress;

/**
 * Puts a letter into MIME (RFC 2045 to 2047, RFC 5322): {@code multipart/alternative}, plain text
 * first, everything in seven bits.
 */
public final class MimeWriter {
  private static final String UTF_8 = StandardCharsets.UTF_8.name();

  /** Made once: each looks for its providers wherever classes are. */
  private static final Session SESSION = Session.getInstance(new Properties());

  static {
    // Each part of each mail looks for it wherever classes are, unless it is told.
    if (System.getProperty(StreamProvider.class.getName()) == null) {
      System.setProperty(StreamProvider.class.getName(), MailStreamProvider.class.getName());
    }
  }

  private MimeWriter() {}

  /** The mail as it goes over SMTP. */
  public static byte[] write(Letter letter) {
    try {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      message(letter).writeTo(bytes);
      return bytes.toByteArray();
    } catch (MessagingException impossible) {
      throw new IllegalStateException(impossible);
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  /** The same as a message that a mail session can send. */
  public static MimeMessage message(Letter letter) throws MessagingException {
    MimeMessage message = new Identified(letter.messageId());
    message.setFrom(address(letter.from().address(), letter.from().name()));
    if (letter.from().answersTo().isPresent()) {
      message.setReplyTo(
          new InternetAddress[] {address(letter.from().answersTo().get(), letter.from().name())});
    }
    message.setRecipient(
        jakarta.mail.Message.RecipientType.TO, address(letter.to(), letter.toName()));
    message.setSubject(oneLine(letter.subject()), UTF_8);
    message.setSentDate(Date.from(letter.date()));
    if (letter.unsubscribe().isPresent()) {
      message.setHeader("List-Unsubscribe", "<" + letter.unsubscribe().get() + ">");
      message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
    }
    MimeMultipart both = new MimeMultipart("alternative");
    both.addBodyPart(part(letter.plain(), "plain"));
    both.addBodyPart(part(letter.html(), "html"));
    message.setContent(both);
    message.saveChanges();
    return message;
  }

  /**
   * Encoded here, once and for all: what Jakarta Mail does byte by byte takes ten times as long.
   */
  private static MimeBodyPart part(String text, String kind) throws MessagingException {
    InternetHeaders headers = new InternetHeaders();
    headers.setHeader("Content-Type", "text/" + kind + "; charset=UTF-8");
    headers.setHeader("Content-Transfer-Encoding", "quoted-printable");
    return new MimeBodyPart(headers, quotedPrintable(text));
  }

  private static byte[] quotedPrintable(String text) {
    ByteArrayOutputStream encoded = new ByteArrayOutputStream(text.length() * 5 / 4);
    try (OutputStream encoding = new QuotedPrintableOutputStream(encoded, false)) {
      String lines = text.stripTrailing().lines().collect(Collectors.joining("\r\n"));
      encoding.write(lines.getBytes(StandardCharsets.UTF_8));
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return encoded.toByteArray();
  }

  private static InternetAddress address(EmailAddress address, String name) {
    try {
      InternetAddress written = new InternetAddress();
      written.setAddress(address.value());
      String shown = oneLine(name).strip();
      if (!shown.isEmpty()) {
        written.setPersonal(shown, UTF_8);
      }
      return written;
    } catch (UnsupportedEncodingException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  /**
   * Nothing in a header begins another one, or is taken for an encoded word (RFC 2047, section 2):
   * a space of no width tells it apart.
   */
  private static String oneLine(String text) {
    return text.replaceAll("[\\p{Cntrl}\u2028\u2029]+", " ").replace("=?", "=\u200b?");
  }

  /** A message with an id of ours: what is sent again is the same. */
  private static final class Identified extends MimeMessage {
    private final String id;

    Identified(String id) {
      super(SESSION);
      this.id = id;
    }

    @Override
    protected void updateMessageID() throws MessagingException {
      setHeader("Message-ID", "<" + id + ">");
    }
  }
}
