package org.opentrellis.app.storage;

import java.util.Optional;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Says at {@code /actuator/health} whether what is saved can be kept, and if not, why. */
@Component("storage")
class StorageHealth implements HealthIndicator {
  private final StorageWatch watch;

  StorageHealth(StorageWatch watch) {
    this.watch = watch;
  }

  @Override
  public Health health() {
    Optional<StorageTrouble.Kind> trouble = watch.trouble();
    return trouble
        .map(kind -> Health.down().withDetail("reason", kind.sentence()).build())
        .orElseGet(() -> Health.up().build());
  }
}
