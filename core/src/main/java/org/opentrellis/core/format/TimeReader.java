package org.opentrellis.core.format;

import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.format.JourneyDocument.AmountDocument;
import org.opentrellis.core.format.JourneyDocument.TimeOfDayDocument;

/** Reads amounts of time and times of day. */
final class TimeReader {
  private final Reading reading;

  TimeReader(Reading reading) {
    this.reading = reading;
  }

  Optional<Amount> amount(@Nullable AmountDocument given, String place) {
    if (given == null) {
      return Optional.empty();
    }
    return given.unit() == null
        ? reading.required(place + "/unit", null, unit -> Amount.of(1, null))
        : reading.value(place + "/count", () -> Amount.of(given.count(), given.unit()));
  }

  Optional<TimeOfDay> timeOfDay(@Nullable TimeOfDayDocument given, String place) {
    if (given == null) {
      return Optional.empty();
    }
    Optional<LocalTime> time =
        reading.required(place + "/time", given.time(), TimeReader::localTime);
    if (given.days() == null) {
      reading.missing(place + "/days");
      return Optional.empty();
    }
    return time.flatMap(
        t -> reading.value(place + "/days", () -> new TimeOfDay(t, Set.copyOf(given.days()))));
  }

  private static LocalTime localTime(String text) {
    try {
      LocalTime time = LocalTime.parse(text);
      if (time.getSecond() != 0 || time.getNano() != 0) {
        throw new IllegalArgumentException("a time of day goes to the minute, not " + text);
      }
      return time;
    } catch (DateTimeParseException wrong) {
      throw new IllegalArgumentException("a time of day is written as 09:00, not " + text, wrong);
    }
  }
}
