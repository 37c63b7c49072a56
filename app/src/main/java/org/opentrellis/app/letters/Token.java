package org.opentrellis.app.letters;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/**
 * What nobody can guess: 128 random bits. Only a fingerprint of it is kept, so whoever reads the
 * database cannot follow anybody's links.
 *
 * @param value 22 letters, digits, dashes and underscores
 */
record Token(String value) {
  private static final int BYTES = 16;
  private static final SecureRandom RANDOM = new SecureRandom();

  static Token random() {
    byte[] bits = new byte[BYTES];
    RANDOM.nextBytes(bits);
    return new Token(Base64.getUrlEncoder().withoutPadding().encodeToString(bits));
  }

  /** SHA-256, in hexadecimal digits. */
  String hash() {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      return HexFormat.of().formatHex(digest.digest(value.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
