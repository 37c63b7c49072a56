package org.opentrellis.app.entrances;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.account.Account;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How often forms are looked at. It is written down once a second, so that many who look make no
 * more work than one; nobody was told that their visit is kept.
 */
@Component
class Visits {
  private final EntranceMapper entrances;
  private final Account account;
  private final Clock clock;
  private final TrellisSettings settings;
  private final TransactionTemplate transaction;
  private final Map<Key, Long> seen = new ConcurrentHashMap<>();

  private record Key(long entrance, LocalDate day) {}

  Visits(
      EntranceMapper entrances,
      Account account,
      Clock clock,
      TrellisSettings settings,
      TransactionTemplate transaction) {
    this.entrances = entrances;
    this.account = account;
    this.clock = clock;
    this.settings = settings;
    this.transaction = transaction;
  }

  /** Somebody looked at a form. */
  void count(long entrance) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), account.zone());
    seen.merge(new Key(entrance, today), 1L, Long::sum);
  }

  @Scheduled(fixedDelay = 1000)
  @PreDestroy
  void write() {
    if (!settings.rests() && !seen.isEmpty()) {
      transaction.executeWithoutResult(begun -> writeAll());
    }
  }

  private void writeAll() {
    for (Key key : seen.keySet()) {
      Long many = seen.remove(key);
      if (many != null && entrances.find(key.entrance()).isPresent()) {
        entrances.count(key.entrance(), key.day(), many, 0);
      }
    }
  }
}
