package org.opentrellis.app.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Instant;
import java.time.ZoneId;
import java.util.function.Function;
import org.opentrellis.core.calendar.ZoneClock;
import org.springframework.stereotype.Component;

/** Clocks of zones that are quick around a moment; made once for each zone and month. */
@Component
class ZoneClocks {
  private static final long MONTH = 30L * ZoneClock.DAY;
  private static final int DAYS_BEFORE = 60;
  private static final int DAYS = 500;

  private final Cache<Around, ZoneClock> clocks = Caffeine.newBuilder().maximumSize(500).build();

  private record Around(ZoneId zone, long month) {}

  Function<ZoneId, ZoneClock> around(long now) {
    long month = Math.floorDiv(now, MONTH);
    return zone ->
        clocks.get(
            new Around(zone, month),
            around ->
                ZoneClock.around(
                    around.zone(),
                    Instant.ofEpochSecond(
                        around.month() * MONTH - (long) DAYS_BEFORE * ZoneClock.DAY),
                    DAYS));
  }
}
