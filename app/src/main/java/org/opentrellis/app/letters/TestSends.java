package org.opentrellis.app.letters;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.MimeMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.concurrent.TimeUnit;
import org.opentrellis.app.standins.MailServer;
import org.opentrellis.app.standins.OnTheirWay;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.mail.Letter;
import org.opentrellis.mail.MimeWriter;
import org.springframework.stereotype.Service;

/** Sends tests over SMTP to the stand-in mail server. */
@Service
class TestSends {
  private static final String PATIENCE_MILLIS = "10000";

  private final Letters letters;
  private final MailServer server;
  private final OnTheirWay onTheirWay;

  TestSends(Letters letters, MailServer server, OnTheirWay onTheirWay) {
    this.letters = letters;
    this.server = server;
    this.onTheirWay = onTheirWay;
  }

  /**
   * Messages in their order, as one person would get them.
   *
   * @throws ProblemsFound if there is nowhere to send them, or none of them can be sent
   */
  TestSent send(List<MessageId> messages, TestOrder order) {
    EmailAddress to = to(order);
    List<TestSent.TestMail> mails = new ArrayList<>();
    List<String> skipped = new ArrayList<>();
    for (MessageId message : messages) {
      try {
        mails.add(send(message, letters.test(message, order, to)));
      } catch (ProblemsFound refused) {
        if (messages.size() == 1) {
          throw refused;
        }
        refused.problems().forEach(problem -> skipped.add(problem.sentence()));
      }
    }
    return new TestSent(to.value(), mails, skipped);
  }

  private EmailAddress to(TestOrder order) {
    String said = order.to() == null ? letters.ownAddress().orElse("") : order.to();
    if (said.isBlank()) {
      throw new ProblemsFound(
          List.of(
              new Problem("no-sender", "/to", "Say on the page Account who emails come from.")));
    }
    try {
      return new EmailAddress(said);
    } catch (Refused refused) {
      throw ProblemsFound.refused("/to", refused);
    }
  }

  private TestSent.TestMail send(MessageId id, Letter letter) {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", server.host());
    properties.put("mail.smtp.port", Integer.toString(server.port()));
    properties.put("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.timeout", PATIENCE_MILLIS);
    properties.put("mail.smtp.localhost", "localhost");
    long began = System.nanoTime();
    try (Transport transport = Session.getInstance(properties).getTransport("smtp")) {
      MimeMessage message = MimeWriter.message(letter);
      onTheirWay.setsOut(letter.messageId());
      transport.connect();
      transport.sendMessage(message, message.getAllRecipients());
      return new TestSent.TestMail(
          id.value(),
          letter.subject(),
          message.getSize() > 0 ? message.getSize() : MimeWriter.write(letter).length,
          TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began));
    } catch (MessagingException failed) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "mail-server",
                  "",
                  "The mail server did not take it: " + failed.getMessage() + ".")));
    }
  }
}
