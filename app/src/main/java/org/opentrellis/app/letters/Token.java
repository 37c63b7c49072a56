package org.opentrellis.app.letters;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;
import org.opentrellis.app.storage.Fingerprint;

/**
 * What nobody can guess: 128 random bits. Only a fingerprint of it is kept, so whoever reads the
 * database cannot follow anybody's links.
 *
 * @param value 22 letters, digits, dashes and underscores
 */
public record Token(String value) {
  private static final int BYTES = 16;
  private static final SecureRandom RANDOM = new SecureRandom();

  public static Token random() {
    byte[] bits = new byte[BYTES];
    RANDOM.nextBytes(bits);
    return new Token(Base64.getUrlEncoder().withoutPadding().encodeToString(bits));
  }

  /** SHA-256, in hexadecimal digits. */
  public String hash() {
    return Fingerprint.of(value.getBytes(StandardCharsets.UTF_8));
  }
}
