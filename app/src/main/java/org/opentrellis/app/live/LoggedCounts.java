package org.opentrellis.app.live;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * How often people entered, left and finished each journey. The log only grows, so what lies far
 * enough back is counted once: all that was being written then has been committed since.
 */
@Component
@Transactional(readOnly = true)
class LoggedCounts {
  /** More lines than are being written at the same time. */
  private static final long NEW = 20_000;

  private final HappeningMapper log;
  private volatile Counted old = new Counted(0, Map.of());

  private record Counted(long upTo, Map<Long, Map<String, Long>> counts) {}

  LoggedCounts(HappeningMapper log) {
    this.log = log;
  }

  /** By journey and kind. */
  Map<Long, Map<String, Long>> now() {
    long last = log.last();
    Counted counted = old;
    if (last - NEW > counted.upTo() + NEW) {
      counted = new Counted(last - NEW, with(counted, log.counts(counted.upTo(), last - NEW)));
      old = counted;
    }
    return with(counted, log.counts(counted.upTo(), Long.MAX_VALUE));
  }

  private static Map<Long, Map<String, Long>> with(
      Counted counted, List<HappeningMapper.Times> more) {
    Map<Long, Map<String, Long>> all = new HashMap<>();
    counted.counts().forEach((journey, counts) -> all.put(journey, new HashMap<>(counts)));
    more.forEach(
        one ->
            all.computeIfAbsent(one.journeyId(), none -> new HashMap<>())
                .merge(one.kind(), one.times(), Long::sum));
    return all;
  }
}
