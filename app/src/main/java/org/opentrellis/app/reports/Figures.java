package org.opentrellis.app.reports;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.Estimated;
import org.opentrellis.core.measure.Share;

/** Figures as a page says them; public because the pages call it by name. */
public final class Figures {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm 'UTC'", Locale.ENGLISH);

  Figures() {}

  /** A share in percent with its interval. */
  public String share(@Nullable Share share) {
    if (share == null || share.value() == null) {
      return "none yet";
    }
    return String.format(
        Locale.ROOT,
        "%.1f%% (%.1f to %.1f)",
        100 * share.value(),
        100 * share.low(),
        100 * share.high());
  }

  public String percent(@Nullable Double value) {
    return value == null ? "none yet" : String.format(Locale.ROOT, "%.1f%%", 100 * value);
  }

  /** A figure with its interval. */
  public String estimated(Estimated figure) {
    return figure.value() == null
        ? "none yet"
        : String.format(
            Locale.ROOT, "%,.1f (%,.1f to %,.1f)", figure.value(), figure.low(), figure.high());
  }

  public String count(long value) {
    return String.format(Locale.ROOT, "%,d", value);
  }

  public String number(@Nullable Double value) {
    return value == null ? "none yet" : String.format(Locale.ROOT, "%,.1f", value);
  }

  /** Hours, or days where they are many. */
  public String hours(double hours) {
    return hours < 0.1
        ? "at once"
        : hours < 48
            ? String.format(Locale.ROOT, "%.1f h", hours)
            : String.format(Locale.ROOT, "%.1f d", hours / 24);
  }

  public String moment(OffsetDateTime at) {
    return at.withOffsetSameInstant(ZoneOffset.UTC).format(MOMENT);
  }
}
