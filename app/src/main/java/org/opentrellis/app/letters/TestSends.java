package org.opentrellis.app.letters;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
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
  private final Letters letters;
  private final Smtp smtp;

  TestSends(Letters letters, Smtp smtp) {
    this.letters = letters;
    this.smtp = smtp;
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
    long began = System.nanoTime();
    try (Smtp.Connection connection = smtp.connect()) {
      MimeMessage message = connection.send(letter);
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
