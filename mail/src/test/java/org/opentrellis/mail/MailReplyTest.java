package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Properties;
import org.junit.jupiter.api.Test;

/** Answers to mail say which mail they answer, where it is to be said (RFC 5322, section 3.6.4). */
class MailReplyTest {
  private static final String ORIGINAL =
      "From: Ambercomb <hello@ambercomb.example>\r\nReply-To: bench@ambercomb.example\r\n"
          + "To: ida@example.com\r\nSubject: Your planner\r\nMessage-ID: <t7.3.1.9@ambercomb.example>\r\n"
          + "\r\nHello\r\n";

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }

  private static MimeMessage answered(String words) throws Exception {
    MimeMessage original =
        new MimeMessage(
            Session.getInstance(new Properties()), new ByteArrayInputStream(bytes(ORIGINAL)));
    return ReplyWriter.of(original, "ida@example.com", words);
  }

  private static Optional<MailReply> read(MimeMessage mail) throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    mail.writeTo(bytes);
    return MailReply.of(bytes.toByteArray());
  }

  @Test
  void anAnswerNamesTheMailThatItAnswersAndGoesWhereThatAsksForIt() throws Exception {
    MimeMessage answer = answered("Which hive\nfits a balcony? Gr\u00fc\u00dfe");
    assertThat(answer.getHeader("In-Reply-To")).containsExactly("<t7.3.1.9@ambercomb.example>");
    assertThat(answer.getHeader("References")).containsExactly("<t7.3.1.9@ambercomb.example>");
    assertThat(answer.getSubject()).isEqualTo("Re: Your planner");
    assertThat(answer.getAllRecipients()[0]).hasToString("bench@ambercomb.example");
    assertThat(read(answer))
        .contains(
            new MailReply(
                "t7.3.1.9@ambercomb.example", "Which hive fits a balcony? Gr\u00fc\u00dfe"));
  }

  @Test
  void ofALongOneTheBeginningIsSaid() throws Exception {
    assertThat(read(answered("bee ".repeat(500))).orElseThrow().words())
        .hasSize(300)
        .endsWith("\u2026");
  }

  @Test
  void whatAnswersNothingIsNoAnswer() {
    assertThat(MailReply.of(bytes(ORIGINAL))).isEmpty();
    assertThat(MailReply.of(bytes("\u0001 not a mail"))).isEmpty();
  }
}
