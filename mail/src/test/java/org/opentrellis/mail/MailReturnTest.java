package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What mail servers report, against the examples of the standards. */
class MailReturnTest {
  private static final String ORIGINAL =
      "Message-ID: <t7.3.1.1790000000@ambercomb.example>\r\nSubject: Your hive planner\r\n";

  /**
   * The notification of RFC 3464, appendix E.1, shortened, with a Message-ID in the headers that it
   * returns.
   */
  private static String delivery(String action, String status) {
    return """
        From: Mail Delivery Subsystem <MAILER-DAEMON@CS.UTK.EDU>
        To: <owner@ambercomb.example>
        MIME-Version: 1.0
        Content-Type: multipart/report; report-type=delivery-status;
           boundary="RAA14128.773615765/CS.UTK.EDU"
        Subject: Returned mail: Cannot send message for 5 days

        --RAA14128.773615765/CS.UTK.EDU

        The original message was received at Sat, 2 Jul 1994 17:10:28 -0400

        --RAA14128.773615765/CS.UTK.EDU
        content-type: message/delivery-status

        Reporting-MTA: dns; cs.utk.edu

        Original-Recipient: rfc822;louisl@larry.slip.umd.edu
        Final-Recipient: rfc822;louisl@larry.slip.umd.edu
        Action: %s
        Status: %s
        Diagnostic-Code: smtp; 426 connection timed out
        Last-Attempt-Date: Thu, 7 Jul 1994 17:15:49 -0400

        --RAA14128.773615765/CS.UTK.EDU
        content-type: message/rfc822

        Message-ID: <t7.3.1.1790000000@ambercomb.example>
        Subject: Your hive planner

        Hello
        --RAA14128.773615765/CS.UTK.EDU--
        """
        .formatted(action, status)
        .replace("\n", "\r\n");
  }

  /** RFC 5965, appendix B.1, likewise. */
  private static final String COMPLAINT =
      """
      From: <abusedesk@example.com>
      Subject: FW: Earn money
      To: <abuse@example.net>
      MIME-Version: 1.0
      Content-Type: multipart/report; report-type=feedback-report;
           boundary="part1_13d.2e68ed54_boundary"

      --part1_13d.2e68ed54_boundary
      Content-Type: text/plain; charset="US-ASCII"
      Content-Transfer-Encoding: 7bit

      This is an email abuse report for an email message received from IP 192.0.2.1.

      --part1_13d.2e68ed54_boundary
      Content-Type: message/feedback-report

      Feedback-Type: abuse
      User-Agent: SomeGenerator/1.0
      Version: 1

      --part1_13d.2e68ed54_boundary
      Content-Type: message/rfc822
      Content-Disposition: inline

      Received: from mailserver.example.net by example.com with ESMTP id M63d4137594e46
      From: <somespammer@example.net>
      Message-ID: <t7.3.1.1790000000@ambercomb.example>
      Subject: Earn money

      Spam Spam Spam
      --part1_13d.2e68ed54_boundary--
      """
          .replace("\n", "\r\n");

  private static Optional<MailReturn> read(String mail) {
    return MailReturn.of(mail.getBytes(StandardCharsets.US_ASCII));
  }

  /** Which failures say that the address is dead: RFC 3463, sections 3.2 and 3.3. */
  @ParameterizedTest
  @CsvSource({
    "5.1.1, true",
    "5.1.2, true",
    "5.2.1, true",
    "5.2.2, false",
    "5.7.1, false",
    "4.0.0, false"
  })
  void aFailedDeliveryIsToldWithItsStatus(String status, boolean dead) {
    MailReturn report = read(delivery("failed", status)).orElseThrow();
    assertThat(report.kind()).isEqualTo(MailReturn.Kind.FAILED);
    assertThat(report.messageId()).isEqualTo("t7.3.1.1790000000@ambercomb.example");
    assertThat(report.status()).isEqualTo(status);
    assertThat(report.words()).isEqualTo(status + " 426 connection timed out");
    assertThat(report.dead()).isEqualTo(dead);
  }

  @Test
  void aMailThatIsOnlyLateIsNoFailure() {
    assertThat(read(delivery("delayed", "4.4.1"))).isEmpty();
  }

  @Test
  void aComplaintIsToldForWhatItIs() {
    MailReturn report = read(COMPLAINT).orElseThrow();
    assertThat(report.kind()).isEqualTo(MailReturn.Kind.COMPLAINED);
    assertThat(report.messageId()).isEqualTo("t7.3.1.1790000000@ambercomb.example");
    assertThat(read(COMPLAINT.replace("abuse\r\nUser", "not-spam\r\nUser"))).isEmpty();
  }

  @Test
  void whatIsNoReportSaysNothing() {
    assertThat(read("Subject: Hello\r\n\r\nHello")).isEmpty();
    assertThat(read("\u0000\u0001 not a mail")).isEmpty();
  }

  @Test
  void theStandInReportsAsTheStandardsSay() throws Exception {
    MailReturn bounce =
        written(ReturnWriter.bounce("ida@example.com", "x@example.com", true, ORIGINAL));
    assertThat(bounce.dead()).isTrue();
    MailReturn full =
        written(ReturnWriter.bounce("ida@example.com", "x@example.com", false, ORIGINAL));
    assertThat(full.kind()).isEqualTo(MailReturn.Kind.FAILED);
    assertThat(full.dead()).isFalse();
    assertThat(bounce.messageId()).isEqualTo("t7.3.1.1790000000@ambercomb.example");
    MailReturn complaint = written(ReturnWriter.complaint("ida@example.com", ORIGINAL));
    assertThat(complaint.kind()).isEqualTo(MailReturn.Kind.COMPLAINED);
  }

  private static MailReturn written(MimeMessage message) throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    message.writeTo(bytes);
    return MailReturn.of(bytes.toByteArray()).orElseThrow();
  }
}
