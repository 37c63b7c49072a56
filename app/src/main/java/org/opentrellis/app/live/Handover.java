package org.opentrellis.app.live;

import jakarta.mail.MessagingException;
import java.io.IOException;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.letters.Smtp;
import org.opentrellis.mail.Letter;

/**
 * What came of handing a message over.
 *
 * @param dead whether the address takes nothing, now or ever
 * @param said by the server, in its words; empty if it took the message
 */
record Handover(Result result, boolean dead, String said) {
  static final Handover TAKEN = new Handover(Result.TAKEN, false, "");
  private static final int PERMANENT = 500;
  private static final int LONGEST = 400;

  enum Result {
    TAKEN,
    /** Not now. */
    LATER,
    /** The server does not answer, or breaks off: nothing else need be tried just now. */
    NO_ANSWER,
    /** Never. */
    REFUSED
  }

  /** What we do not even hand over. */
  static Handover unwritten(String why) {
    return new Handover(Result.REFUSED, false, why);
  }

  /** What a fault of ours keeps from being handed over, until it is mended. */
  static Handover failed(RuntimeException failure) {
    return new Handover(Result.LATER, false, fault(failure));
  }

  /** That something failed, and where the log says why. */
  static String fault(RuntimeException failure) {
    return "It failed by a fault of ours (incident %s in the server\u2019s log)."
        .formatted(Incident.noted(failure).number());
  }

  /** No connection came about. */
  static Handover noAnswer(MessagingException failed) {
    return new Handover(Result.NO_ANSWER, false, said(failed));
  }

  static Handover of(Letter letter, Smtp.Connection connection) {
    try {
      connection.send(letter);
      return TAKEN;
    } catch (MessagingException failed) {
      return of(failed);
    }
  }

  /** What an exception says: replies of 500 and more are for good (RFC 5321, section 4.2.1). */
  static Handover of(MessagingException failed) {
    Result result = Result.LATER;
    boolean dead = false;
    for (Throwable one = failed; one != null; one = next(one)) {
      if (one instanceof SMTPAddressFailedException address) {
        dead = address.getReturnCode() >= PERMANENT;
        result = dead ? Result.REFUSED : Result.LATER;
      } else if (one instanceof SMTPSendFailedException send) {
        result = send.getReturnCode() >= PERMANENT ? Result.REFUSED : Result.LATER;
      } else if (one instanceof IOException) {
        result = Result.NO_ANSWER;
      }
    }
    return new Handover(result, dead, said(failed));
  }

  private static @Nullable Throwable next(Throwable one) {
    return one instanceof MessagingException chained && chained.getNextException() != null
        ? chained.getNextException()
        : one.getCause();
  }

  /** The last in the chain is what the server said. */
  private static String said(MessagingException failed) {
    Throwable last = failed;
    for (Throwable one = failed; one != null; one = next(one)) {
      last = one;
    }
    String line = String.valueOf(last.getMessage()).strip().replaceAll("\\s+", " ");
    return line.substring(0, Math.min(LONGEST, line.length()));
  }
}
