package org.opentrellis.app.storage;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** By what something is known again that is not kept, or not looked into. */
public final class Fingerprint {
  private Fingerprint() {}

  /** SHA-256 of it: 64 hexadecimal digits. */
  public static String of(byte[] content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
