package org.opentrellis.core.calibrate;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What became of one message to one person.
 *
 * @param person whoever it was; the same name is the same person
 * @param message whichever it was
 * @param zone where the person lives
 * @param opened the first recorded open, by whomever
 * @param bought the first purchase after it was sent
 */
public record SendRecord(
    String person,
    String message,
    ZoneId zone,
    Instant sent,
    Optional<Instant> delivered,
    Optional<Instant> opened,
    Optional<Instant> clicked,
    Optional<Instant> unsubscribed,
    Optional<Instant> bought) {

  /** Seconds from sending to a moment. */
  double secondsTo(Instant moment) {
    return Math.max(0, (moment.toEpochMilli() - sent.toEpochMilli()) / 1000.0);
  }

  /** The last moment that it knows of. */
  public Instant last() {
    return Stream.of(Optional.of(sent), opened, clicked, unsubscribed, bought)
        .flatMap(Optional::stream)
        .max(Comparator.naturalOrder())
        .orElse(sent);
  }
}
