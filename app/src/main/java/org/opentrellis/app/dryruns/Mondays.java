package org.opentrellis.app.dryruns;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.TemporalAdjusters;
import org.springframework.stereotype.Component;

/** When cohorts start: on a Monday, so that runs of one week meet the same weekdays. */
@Component
class Mondays {
  private final Clock clock;

  Mondays(Clock clock) {
    this.clock = clock;
  }

  Instant thisWeek() {
    return OffsetDateTime.now(clock)
        .withOffsetSameInstant(ZoneOffset.UTC)
        .toLocalDate()
        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
        .atStartOfDay(ZoneOffset.UTC)
        .toInstant();
  }
}
