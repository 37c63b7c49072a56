package org.opentrellis.app.standins;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** When mails set out, by their Message-ID, so that the inbox can say how long each took. */
@Component
public class OnTheirWay {
  private static final Duration LONGEST = Duration.ofHours(1);
  private static final int MOST = 10_000;

  private final Cache<String, Long> setOut =
      Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(LONGEST).build();

  /** A mail begins to be handed over. */
  public void setsOut(String messageId) {
    setOut.put(messageId, System.nanoTime());
  }

  /** In milliseconds; null if nobody saw it set out. */
  @Nullable Long arrives(@Nullable String messageId) {
    if (messageId == null) {
      return null;
    }
    String id = messageId.strip().replaceAll("^<|>$", "");
    Long began = setOut.getIfPresent(id);
    setOut.invalidate(id);
    return began == null ? null : TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - began);
  }
}
