package org.opentrellis.app.entrances;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.opentrellis.app.letters.Token;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;

/**
 * What a form carries that we have given out: a number of its own, by which sending it twice is
 * once, and when that was, since nobody fills in a form within a moment. Nobody else can make one.
 */
@Component
class FormSeal {
  /** Quicker than anybody reads and types an address. */
  private static final Duration LEAST = Duration.ofMillis(1_500);

  private static final Duration MOST = Duration.ofHours(24);
  private static final String ALGORITHM = "HmacSHA256";
  private static final int KEY_BYTES = 32;

  private final SecretKeySpec key;
  private final Clock clock;

  FormSeal(@Qualifier("wallClock") Clock clock) {
    byte[] fresh = new byte[KEY_BYTES];
    new SecureRandom().nextBytes(fresh);
    this.key = new SecretKeySpec(fresh, ALGORITHM);
    this.clock = clock;
  }

  /** A seal that came back. */
  sealed interface Read permits Good, TooSoon, Stale {}

  /**
   * @param number of the form that was given out
   */
  record Good(String number) implements Read {}

  /** Nobody types that fast. */
  record TooSoon() implements Read {}

  /** It is too old, or not ours, or from before we were started. */
  record Stale() implements Read {}

  /** For the form of one entrance. */
  String make(String slug) {
    String said = Token.random().value() + "." + clock.millis();
    return said + "." + mark(slug, said);
  }

  Read read(String slug, String seal) {
    return within(slug, seal).orElseGet(Stale::new);
  }

  private Optional<Read> within(String slug, String seal) {
    String[] parts = seal.split("\\.", -1);
    if (parts.length != 3) {
      return Optional.empty();
    }
    byte[] said = parts[2].getBytes(StandardCharsets.UTF_8);
    byte[] ours = mark(slug, parts[0] + "." + parts[1]).getBytes(StandardCharsets.UTF_8);
    if (!MessageDigest.isEqual(said, ours)) {
      return Optional.empty();
    }
    long age = clock.millis() - Long.parseLong(parts[1]);
    if (age > MOST.toMillis()) {
      return Optional.empty();
    }
    return Optional.of(age < LEAST.toMillis() ? new TooSoon() : new Good(parts[0]));
  }

  private String mark(String slug, String said) {
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(key);
      byte[] mark = mac.doFinal((slug + "." + said).getBytes(StandardCharsets.UTF_8));
      return Base64.getUrlEncoder().withoutPadding().encodeToString(mark);
    } catch (GeneralSecurityException missing) {
      throw new IllegalStateException(missing);
    }
  }
}
