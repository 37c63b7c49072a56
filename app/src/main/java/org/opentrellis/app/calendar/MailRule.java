package org.opentrellis.app.calendar;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Journey;

/** A rule of a journey by which fewer get too much on a day. */
enum MailRule {
  /** At most one email a day, from all journeys together. */
  GUARD {
    @Override
    Optional<Journey> in(Journey journey, DayOfWeek day) {
      FrequencyGuard one = new FrequencyGuard(1, 1, FrequencyGuard.Then.HOLD, false);
      return journey.frequencyGuard().isPresent()
          ? Optional.empty()
          : Optional.of(journey.edit().frequencyGuard(Optional.of(one)).done());
    }

    @Override
    String words(String journey, DayOfWeek day) {
      return "\u201c%s\u201d waits until somebody has got nothing for a day".formatted(journey);
    }
  },

  /** Nothing on this day of the week. */
  WINDOW {
    @Override
    Optional<Journey> in(Journey journey, DayOfWeek day) {
      Optional<SendWindow> now = journey.sendWindow();
      Set<DayOfWeek> days =
          now.map(SendWindow::days)
              .<Set<DayOfWeek>>map(EnumSet::copyOf)
              .orElseGet(() -> EnumSet.allOf(DayOfWeek.class));
      if (!days.remove(day) || days.isEmpty()) {
        return Optional.empty();
      }
      SendWindow window =
          new SendWindow(
              days,
              now.map(SendWindow::from).orElse(LocalTime.MIDNIGHT),
              now.map(SendWindow::to).orElse(LocalTime.MIDNIGHT));
      return Optional.of(journey.edit().sendWindow(Optional.of(window)).done());
    }

    @Override
    String words(String journey, DayOfWeek day) {
      return "\u201c%s\u201d sends nothing on %ss"
          .formatted(journey, day.getDisplayName(TextStyle.FULL, Locale.ENGLISH));
    }
  };

  /**
   * A journey that keeps it; nothing if it keeps it already, keeps another of its own, or could
   * send no more.
   */
  abstract Optional<Journey> in(Journey journey, DayOfWeek day);

  /** What the journey does then. */
  abstract String words(String journey, DayOfWeek day);
}
