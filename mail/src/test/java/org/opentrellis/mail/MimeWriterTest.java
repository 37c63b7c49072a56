package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Optional;
import java.util.Properties;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.TextBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.people.EmailAddress;

/**
 * What is written is read by another library (Apache James Mime4j). Rules: RFC 5322, 2045 to 2047,
 * 2369, 8058.
 */
class MimeWriterTest {
  private static final EmailAddress MIRA = new EmailAddress("mira@example.com");

  private static Letter letter(String sender, String name, String subject, String text) {
    return new Letter(
        new Sender(sender, MIRA, Optional.of(new EmailAddress("hello@example.com"))),
        new EmailAddress("tove@example.org"),
        name,
        subject,
        "token@example.com",
        Instant.parse("2027-03-14T08:00:00Z"),
        "<p>" + text + "</p>",
        text,
        Optional.of("https://example.com/unsubscribe/opaquepart"));
  }

  private static Message parsed(Letter letter) throws IOException {
    return new DefaultMessageBuilder()
        .parseMessage(new ByteArrayInputStream(MimeWriter.write(letter)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Mira of Ambercomb",
        "Ünïcödé Names",
        "Пчеловод",
        "蜂蜜の店",
        "\"Quoted\", with a comma",
        "a=?utf-8?Q?b?= c",
        "🐝 bees",
        "A very long name that goes on and on until no header line could hold it any more, öäü"
      })
  void namesOfAnyScriptSurvive(String name) throws IOException {
    String shown = name.length() > 80 ? name.substring(0, 80).strip() : name;
    Message message = parsed(letter(shown, shown, name, "x"));
    assertThat(seen(message.getSubject())).isEqualTo(name);
    assertThat(seen(message.getFrom().get(0).getName())).isEqualTo(shown);
    assertThat(message.getFrom().get(0).getAddress()).isEqualTo("mira@example.com");
    assertThat(seen(message.getTo().flatten().get(0).getName())).isEqualTo(shown);
  }

  /** What looks like an encoded word is told apart by a space of no width. */
  private static String seen(String text) {
    return text.replace("\u200b", "");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Hello\r\nBcc: all@example.com",
        "Hello\nX-Evil: 1",
        "Hello\rX-Evil: 1\r\r",
        "Hello\u2028Bcc: all@example.com",
        "Hello\u0000\u0007"
      })
  void nothingBreaksOutOfAHeader(String subject) throws IOException {
    Message message = parsed(letter("Mira", subject, subject, "x"));
    assertThat(message.getHeader().getFields())
        .extracting(field -> field.getName())
        .doesNotContain("Bcc", "X-Evil");
    assertThat(message.getSubject()).startsWith("Hello").doesNotContain("\n", "\r");
    assertThat(message.getBcc()).isNull();
  }

  @Test
  void bothPartsSayWhatWasWritten() throws IOException {
    String text = "Grüße, 蜂. " + "long ".repeat(400) + "= end.\n.\nFrom here";
    Message message = parsed(letter("Mira", "", "Subject", text));
    assertThat(message.getMimeType()).isEqualTo("multipart/alternative");
    Multipart both = (Multipart) message.getBody();
    assertThat(both.getBodyParts())
        .extracting(part -> part.getMimeType())
        .containsExactly("text/plain", "text/html");
    assertThat(read(both, 0)).isEqualTo(text.replace("\n", "\r\n"));
    assertThat(read(both, 1)).contains("Grüße, 蜂.");
  }

  /** Mime4j encodes, so another one reads, too: Jakarta Mail. */
  @Test
  void anotherLibraryReadsTheSame() throws Exception {
    String text = "Grüße \t \n 蜂 🐝 = =3D \n\n..\ntrailing  \n" + "ä".repeat(300) + "\nend";
    MimeMessage read =
        new MimeMessage(
            Session.getInstance(new Properties()),
            new ByteArrayInputStream(MimeWriter.write(letter("Mira", "", "Subject", text))));
    MimeMultipart both = (MimeMultipart) read.getContent();
    assertThat(both.getBodyPart(0).getContent()).isEqualTo(text.replace("\n", "\r\n"));
    assertThat(both.getBodyPart(1).getContentType()).isEqualTo("text/html; charset=UTF-8");
  }

  private static String read(Multipart both, int part) throws IOException {
    TextBody body = (TextBody) both.getBodyParts().get(part).getBody();
    return new String(body.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
  }

  /** RFC 5322, section 2.1.1: at most 998 characters a line; RFC 2045: seven bits. */
  @Test
  void linesAreShortAndOfSevenBits() {
    byte[] mail =
        MimeWriter.write(letter("蜂".repeat(70), "蜂".repeat(70), "ü".repeat(300), "ä".repeat(5000)));
    for (byte one : mail) {
      assertThat(one).isGreaterThanOrEqualTo((byte) 0);
    }
    assertThat(new String(mail, StandardCharsets.US_ASCII).lines())
        .allMatch(line -> line.length() <= 998);
  }

  /** RFC 8058, section 8.1 (from memory), and RFC 2369, section 2: addresses in angle brackets. */
  @Test
  void oneClickStopsIt() throws IOException {
    Message message = parsed(letter("Mira", "", "Subject", "x"));
    assertThat(message.getHeader().getField("List-Unsubscribe").getBody())
        .isEqualTo("<https://example.com/unsubscribe/opaquepart>");
    assertThat(message.getHeader().getField("List-Unsubscribe-Post").getBody())
        .isEqualTo("List-Unsubscribe=One-Click");
  }

  @Test
  void whatIsSentAgainIsTheSame() throws IOException {
    Message message = parsed(letter("Mira", "", "Subject", "x"));
    assertThat(message.getMessageId()).isEqualTo("<token@example.com>");
    assertThat(message.getDate()).isEqualTo("2027-03-14T08:00:00Z");
    assertThat(message.getReplyTo().flatten().get(0).getAddress()).isEqualTo("hello@example.com");
  }

  /** Examples of RFC 2047, section 8, read by Python and by Angus Mail alike. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "=?ISO-8859-1?Q?a?= b | a b",
        "=?ISO-8859-1?Q?a?= =?ISO-8859-1?Q?b?= | ab",
        "=?ISO-8859-1?Q?a_b?= | a b",
        "=?ISO-8859-1?Q?a?= =?ISO-8859-2?Q?_b?= | a b",
        "=?ISO-8859-1?Q?Keld_J=F8rn_Simonsen?= | Keld Jørn Simonsen",
        "=?ISO-8859-1?B?SWYgeW91IGNhbiByZWFkIHRoaXMgeW8=?= =?ISO-8859-2?B?dSB1bmRlcnN0YW5kIHRoZSBleGFtcGxlLg==?= | If you can read this you understand the example."
      })
  void encodedWordsAreReadAsPublished(String encoded, String said) throws IOException {
    assertThat(MimeUtility.decodeText(encoded)).isEqualTo(said);
    Message message =
        new DefaultMessageBuilder()
            .parseMessage(
                new ByteArrayInputStream(
                    ("Subject: " + encoded + "\r\n\r\n").getBytes(StandardCharsets.US_ASCII)));
    assertThat(message.getSubject()).isEqualTo(said);
  }
}
