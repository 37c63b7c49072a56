package org.opentrellis.mail;

import jakarta.activation.DataHandler;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import java.nio.charset.StandardCharsets;
import java.util.Properties;

/** Writes what the stand-in mail server reports of a mail, as mail servers do. */
public final class ReturnWriter {
  private ReturnWriter() {}

  /**
   * That a mail could not be delivered (RFC 3464).
   *
   * @param to who sent it
   * @param recipient whose mailbox does not take it
   * @param forGood whether there is no such mailbox, or it only takes nothing now (RFC 3463, 3.3)
   * @param original its headers
   */
  public static MimeMessage bounce(String to, String recipient, boolean forGood, String original)
      throws MessagingException {
    String code = forGood ? "5.1.1" : "4.2.2";
    String why = forGood ? "550 5.1.1 no such mailbox here" : "452 4.2.2 the mailbox is full";
    String status =
        """
        Reporting-MTA: dns; localhost

        Final-Recipient: rfc822; %s
        Action: failed
        Status: %s
        Diagnostic-Code: smtp; %s
        """
            .formatted(recipient, code, why);
    return report(
        to,
        "Undelivered mail",
        "delivery-status",
        forGood
            ? "The mail could not be delivered: there is no mailbox " + recipient + "."
            : "The mail could not be delivered: the mailbox " + recipient + " is full.",
        "message/delivery-status",
        status,
        original);
  }

  /** That whoever got a mail complained about it (RFC 5965). */
  public static MimeMessage complaint(String to, String original) throws MessagingException {
    String feedback =
        """
        Feedback-Type: abuse
        User-Agent: stand-in
        Version: 1
        """;
    return report(
        to,
        "Complaint about a mail",
        "feedback-report",
        "Somebody who got this mail says that they do not want it.",
        "message/feedback-report",
        feedback,
        original);
  }

  private static MimeMessage report(
      String to,
      String subject,
      String type,
      String words,
      String partType,
      String part,
      String original)
      throws MessagingException {
    MimeMessage message = new MimeMessage(Session.getInstance(new Properties()));
    message.setFrom(new InternetAddress("mailer-daemon@localhost"));
    message.setRecipient(Message.RecipientType.TO, new InternetAddress(to));
    message.setSubject(subject);
    MimeMultipart report = new MimeMultipart("report; report-type=" + type);
    MimeBodyPart said = new MimeBodyPart();
    said.setText(words, StandardCharsets.UTF_8.name());
    report.addBodyPart(said);
    report.addBodyPart(part(part, partType));
    report.addBodyPart(part(original, "text/rfc822-headers"));
    message.setContent(report);
    message.saveChanges();
    return message;
  }

  private static MimeBodyPart part(String text, String type) throws MessagingException {
    MimeBodyPart part = new MimeBodyPart();
    part.setDataHandler(
        new DataHandler(new ByteArrayDataSource(text.getBytes(StandardCharsets.US_ASCII), type)));
    part.setHeader("Content-Type", type);
    return part;
  }
}
