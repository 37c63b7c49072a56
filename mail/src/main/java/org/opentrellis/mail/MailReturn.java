package org.opentrellis.mail;

import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Session;
import jakarta.mail.internet.ContentType;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;
import org.jspecify.annotations.Nullable;

/**
 * What a mail server reports of a mail that was sent: that it could not be delivered (RFC 3464), or
 * that its reader complained (RFC 5965).
 *
 * @param messageId of the mail it is about, without angle brackets
 * @param status such as 5.1.1 (RFC 3463); empty for a complaint
 * @param words what it says of the reason
 */
public record MailReturn(Kind kind, String messageId, String status, String words) {
  private static final Session SESSION = Session.getInstance(new Properties());

  private static final int LONGEST = 300;

  /** What is reported. */
  public enum Kind {
    /** It could not be delivered, and nobody tries any more. */
    FAILED,
    COMPLAINED
  }

  /**
   * Whether the address itself takes nothing, now or ever: a permanent failure about the address
   * (5.1.x) or a mailbox that is disabled (5.2.1), by RFC 3463, sections 3.2 and 3.3.
   */
  public boolean dead() {
    return kind == Kind.FAILED && (status.startsWith("5.1.") || status.equals("5.2.1"));
  }

  /** Of a mail, if it is such a report and says which mail it is about. */
  public static Optional<MailReturn> of(byte[] mail) {
    try {
      MimeMessage message = new MimeMessage(SESSION, new ByteArrayInputStream(mail));
      ContentType type = new ContentType(message.getContentType());
      return type.match("multipart/report") && message.getContent() instanceof Multipart report
          ? of(report)
          : Optional.empty();
    } catch (MessagingException | IOException unreadable) {
      return Optional.empty();
    }
  }

  private static Optional<MailReturn> of(Multipart report) throws MessagingException, IOException {
    @Nullable InternetHeaders status = null;
    @Nullable InternetHeaders original = null;
    boolean complaint = false;
    for (int i = 0; i < report.getCount(); i++) {
      BodyPart part = report.getBodyPart(i);
      if (part.isMimeType("message/delivery-status")) {
        status = lastBlock(part);
      } else if (part.isMimeType("message/feedback-report")) {
        InternetHeaders feedback = firstBlock(part);
        complaint = "abuse".equalsIgnoreCase(one(feedback, "Feedback-Type"));
      } else if (part.isMimeType("message/rfc822") || part.isMimeType("text/rfc822-headers")) {
        original = firstBlock(part);
      }
    }
    String id = original == null ? "" : one(original, "Message-ID").replaceAll("[<>\\s]", "");
    if (id.isEmpty()) {
      return Optional.empty();
    }
    if (complaint) {
      return Optional.of(new MailReturn(Kind.COMPLAINED, id, "", ""));
    }
    return status != null && one(status, "Action").toLowerCase(Locale.ROOT).startsWith("failed")
        ? Optional.of(new MailReturn(Kind.FAILED, id, one(status, "Status"), words(status)))
        : Optional.empty();
  }

  private static String words(InternetHeaders status) {
    String said = one(status, "Diagnostic-Code").replaceFirst("^\\s*[\\w-]+;", "");
    String line = (one(status, "Status") + " " + said.strip()).strip().replaceAll("\\s+", " ");
    return line.substring(0, Math.min(LONGEST, line.length()));
  }

  private static String one(InternetHeaders headers, String name) {
    String value = headers.getHeader(name, null);
    return value == null ? "" : value.strip();
  }

  private static InternetHeaders firstBlock(BodyPart part) throws MessagingException, IOException {
    try (InputStream content = part.getInputStream()) {
      return new InternetHeaders(content);
    }
  }

  /** The first block is about the mail, each further one about a recipient (RFC 3464, 2.1). */
  private static InternetHeaders lastBlock(BodyPart part) throws MessagingException, IOException {
    try (InputStream content = new ByteArrayInputStream(part.getInputStream().readAllBytes())) {
      InternetHeaders last = new InternetHeaders(content);
      while (content.available() > 0) {
        InternetHeaders next = new InternetHeaders(content);
        if (next.getAllHeaderLines().hasMoreElements()) {
          last = next;
        }
      }
      return last;
    }
  }
}
