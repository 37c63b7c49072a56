package org.opentrellis.app.http;

import java.security.SecureRandom;
import java.util.HexFormat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A fault of ours. It stands in the log with a number, which is all that a user is told of it; so
 * that who looks for the reason finds the right place.
 *
 * @param number eight hexadecimal digits
 */
public record Incident(String number) {
  private static final Logger LOG = LoggerFactory.getLogger(Incident.class);
  private static final SecureRandom RANDOM = new SecureRandom();

  /** Puts a failure into the log. */
  public static Incident noted(Throwable failure) {
    byte[] bytes = new byte[4];
    RANDOM.nextBytes(bytes);
    Incident incident = new Incident(HexFormat.of().formatHex(bytes));
    LOG.error("Incident {}", incident.number, failure);
    return incident;
  }

  public String sentence() {
    return "Something went wrong on our side (incident %s; the server\u2019s log says more under this number). Look whether it was saved before you do it again."
        .formatted(number);
  }
}
