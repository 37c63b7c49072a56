package org.opentrellis.core.format;

import java.time.DayOfWeek;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;

/**
 * A journey as JSON. Everything in it may be wrong or missing: {@link JourneyReader} turns it into
 * a journey or says what is.
 *
 * @param entryFilter a condition on tags and lists, or null for everybody
 * @param goal null while there is none
 */
public record JourneyDocument(
    String name,
    Purpose purpose,
    JourneyState state,
    List<TriggerDocument> triggers,
    @Nullable ConditionDocument entryFilter,
    ReEntry reEntry,
    @Nullable GoalDocument goal,
    List<StepDocument> body) {

  public record GoalDocument(int withinDays, boolean leaveWhenMet) {}

  public record AmountDocument(double count, TimeUnit unit) {}

  /**
   * @param time as HH:mm
   * @param days the weekdays it may fall on
   */
  public record TimeOfDayDocument(String time, List<DayOfWeek> days) {}

  /**
   * @param condition null for the arm that takes everyone else
   */
  public record ArmDocument(
      String id, @Nullable ConditionDocument condition, List<StepDocument> steps) {}
}
