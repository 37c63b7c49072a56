package org.opentrellis.app.people;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Addresses of people who were forgotten for good, as keyed hashes (HMAC-SHA-256, RFC 2104): a
 * table that brings one again is told, and nobody can read them.
 */
@Component
@Transactional
public class Forgotten {
  private static final String ALGORITHM = "HmacSHA256";
  private static final int KEY_BYTES = 32;

  private final ForgottenMapper mapper;
  private final Clock clock;

  Forgotten(ForgottenMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  void note(String address) {
    mapper.note(fingerprint(mac(), address), clock.instant().getEpochSecond());
  }

  /** Somebody is back because they want to be. */
  void release(String address) {
    mapper.release(fingerprint(mac(), address));
  }

  /** Those of some addresses that were forgotten. */
  public Set<String> among(List<String> addresses) {
    if (mapper.none()) {
      return Set.of();
    }
    Mac mac = mac();
    List<String> prints = addresses.stream().map(one -> fingerprint(mac, one)).toList();
    Set<String> known = new HashSet<>(mapper.among(prints.toArray(String[]::new)));
    return java.util.stream.IntStream.range(0, prints.size())
        .filter(i -> known.contains(prints.get(i)))
        .mapToObj(addresses::get)
        .collect(Collectors.toSet());
  }

  private static String fingerprint(Mac mac, String address) {
    byte[] hash = mac.doFinal(TextKey.of(address).getBytes(StandardCharsets.UTF_8));
    return Base64.getEncoder().encodeToString(hash);
  }

  private Mac mac() {
    try {
      Mac mac = Mac.getInstance(ALGORITHM);
      mac.init(new SecretKeySpec(Base64.getDecoder().decode(key()), ALGORITHM));
      return mac;
    } catch (GeneralSecurityException missing) {
      throw new IllegalStateException(missing);
    }
  }

  private String key() {
    return mapper
        .key()
        .orElseGet(
            () -> {
              byte[] fresh = new byte[KEY_BYTES];
              new SecureRandom().nextBytes(fresh);
              String key = Base64.getEncoder().encodeToString(fresh);
              mapper.keepKey(key);
              return key;
            });
  }
}
