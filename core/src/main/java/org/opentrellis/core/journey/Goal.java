package org.opentrellis.core.journey;

/**
 * What the journey is to bring about: a purchase within some days of entering.
 *
 * @param withinDays 1 to 365, in days of 24 hours since entry
 * @param leaveWhenMet whether people who bought leave the journey
 */
public record Goal(int withinDays, boolean leaveWhenMet) {
  public Goal {
    if (withinDays < 1 || withinDays > 365) {
      throw new IllegalArgumentException("a goal's days must be 1 to 365, not " + withinDays);
    }
  }
}
