package org.opentrellis.core.check;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.journey.Way;

/**
 * Emails that are days apart in the plan, and minutes apart for whoever the send window keeps
 * waiting: waits for a day or a time of day do not reckon with it. Somebody who comes in at noon is
 * followed through the plan for each day of the week, waiting everywhere as long as they may.
 */
final class HeldTogether implements Check {
  private static final long CLOSE = 4 * 3_600;

  /** A Monday. */
  private static final Instant START = Instant.parse("2027-03-01T00:00:00Z");

  private static final ZoneClock CLOCK = ZoneClock.around(ZoneOffset.UTC, START, 800);
  private static final long NOON = 12 * 3_600;

  /**
   * Where somebody stands.
   *
   * @param at the present
   * @param due when the last email was due; before ever if there was none
   * @param sent when it went out
   */
  private record Standing(long at, long due, long sent) {}

  @Override
  public List<Finding> look(CheckContext context) {
    List<Finding> findings = new ArrayList<>();
    new Plan(context.expanded())
        .together()
        .forEach((step, days) -> findings.add(finding(step, days)));
    return findings;
  }

  private static Finding finding(StepId step, Set<DayOfWeek> days) {
    return Findings.warning(
        "held-together",
        step,
        "Whoever comes in on a %s gets this email within hours of the one before: the send window holds that one back, and a wait for a day or a time does not reckon with it. Wait for some days instead."
            .formatted(
                days.stream()
                    .map(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH))
                    .collect(Collectors.joining(" or a "))));
  }

  /** Goes through a journey, seven times. */
  private static final class Plan {
    private final Journey journey;
    private final Map<StepId, Set<DayOfWeek>> together = new LinkedHashMap<>();
    private DayOfWeek entry = DayOfWeek.MONDAY;
    private long entryDay;

    Plan(Journey journey) {
      this.journey = journey;
    }

    /** By email that comes too close, the days of entry for which it does. */
    Map<StepId, Set<DayOfWeek>> together() {
      for (DayOfWeek day : DayOfWeek.values()) {
        long at = START.getEpochSecond() + day.ordinal() * (long) ZoneClock.DAY + NOON;
        entry = day;
        entryDay = CLOCK.day(at);
        through(journey.body(), new Standing(at, Long.MIN_VALUE / 2, Long.MIN_VALUE / 2));
      }
      return together;
    }

    private Standing through(List<Step> steps, Standing before) {
      Standing now = before;
      for (Step step : steps) {
        now = through(step, now);
      }
      return now;
    }

    private Standing through(Step step, Standing now) {
      return switch (step) {
        case Step.SendEmail send -> sent(send, now);
        case Step.Wait wait ->
            new Standing(Math.max(now.at, end(wait.rule(), now.at)), now.due, now.sent);
        case Step.Branch branch ->
            latest(
                branch.ways(),
                later(
                    now,
                    branch
                        .waitUpTo()
                        .map(amount -> (long) (amount.nominalHours() * 3_600))
                        .orElse(0L)));
        case Step.SplitTest split -> latest(split.ways(), now);
        case Step.SendText text -> now;
        case Step.Change change -> now;
        case Step.Include include -> now;
        case Step.HandOver over -> now;
        case Step.Notify notify -> now;
        case Step.Finish finish -> now;
      };
    }

    private static Standing later(Standing now, long seconds) {
      return new Standing(now.at + seconds, now.due, now.sent);
    }

    private Standing latest(List<Way> ways, Standing before) {
      Standing latest = before;
      for (Way way : ways) {
        Standing after = through(way.steps(), before);
        latest = after.at > latest.at ? after : latest;
      }
      return latest;
    }

    private Standing sent(Step.SendEmail send, Standing now) {
      long goes =
          send.window()
              .or(journey::sendWindow)
              .map(open -> open.atOrAfter(now.at, CLOCK))
              .orElse(now.at);
      boolean held = now.sent > now.due || goes > now.at;
      if (held && goes - now.sent < CLOSE && now.at - now.due >= ZoneClock.DAY / 2) {
        together.computeIfAbsent(send.id(), id -> EnumSet.noneOf(DayOfWeek.class)).add(entry);
      }
      return new Standing(goes, now.at, goes);
    }

    private long end(WaitRule rule, long from) {
      return switch (rule) {
        case WaitRule.For waits -> {
          long after = from + (long) (waits.amount().nominalHours() * 3_600);
          yield waits.thenUntil().map(moment -> moment.atOrAfter(after, CLOCK)).orElse(after);
        }
        case WaitRule.Until until -> until.moment().atOrAfter(from, CLOCK);
        case WaitRule.UntilDay until ->
            (entryDay + until.day()) * ZoneClock.DAY
                + until.at().map(LocalTime::toSecondOfDay).orElse((int) NOON);
        case WaitRule.UntilNthWeekday until ->
            new TimeOfDay(until.at(), Set.of(until.weekday())).atOrAfter(from, CLOCK);
        case WaitRule.UntilHappens until -> from + (long) (until.atMost().nominalHours() * 3_600);
        // What stands in a record or on the calendar is the same for nobody else.
        case WaitRule.UntilDate until -> from + ZoneClock.DAY;
        case WaitRule.AroundDate around -> from + ZoneClock.DAY;
      };
    }
  }
}
