package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.internet.AddressException;
import jakarta.mail.internet.InternetAddress;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What a server's reply means: 4yz is for now, 5yz for good (RFC 5321, section 4.2.1); only what it
 * says of the address makes the address a dead one.
 */
class HandoverTest {
  @ParameterizedTest
  @CsvSource({"550, REFUSED, true", "553, REFUSED, true", "450, LATER, false", "451, LATER, false"})
  void aReplyAboutTheAddress(int code, Handover.Result result, boolean dead) throws Exception {
    SMTPAddressFailedException address =
        new SMTPAddressFailedException(
            new InternetAddress("x@example.com"), "RCPT TO", code, code + " no such mailbox");
    MessagingException failed = new SendFailedException("Invalid Addresses", address);
    Handover came = Handover.of(failed);
    assertThat(came).isEqualTo(new Handover(result, dead, code + " no such mailbox"));
  }

  @ParameterizedTest
  @CsvSource({"554, REFUSED", "552, REFUSED", "421, LATER", "452, LATER"})
  void aReplyAboutTheMailKillsNoAddress(int code, Handover.Result result) {
    Handover came =
        Handover.of(
            new SMTPSendFailedException("DATA", code, code + " not this", null, null, null, null));
    assertThat(came.result()).isEqualTo(result);
    assertThat(came.dead()).isFalse();
  }

  @Test
  void whoeverDoesNotAnswerIsTriedLater() {
    MessagingException failed =
        new MessagingException("Couldn't connect", new ConnectException("Connection refused"));
    assertThat(Handover.of(failed))
        .isEqualTo(new Handover(Handover.Result.NO_ANSWER, false, "Connection refused"));
  }

  /** One letter that cannot be handed over says nothing of the server, so others are tried. */
  @Test
  void whatIsWrongWithOneLetterIsNoSilence() {
    assertThat(Handover.of(new AddressException("Missing final '@domain'", "nobody")).result())
        .isEqualTo(Handover.Result.LATER);
    assertThat(Handover.of(new MessagingException("", new SocketTimeoutException())).result())
        .isEqualTo(Handover.Result.NO_ANSWER);
  }

  @Test
  void whatItSaysIsOneShortLine() {
    String reply = "550 " + "very sorry\r\n ".repeat(100);
    assertThat(Handover.of(new MessagingException(reply)).said())
        .hasSize(400)
        .doesNotContain("\n")
        .startsWith("550 very sorry very sorry");
  }
}
