package org.opentrellis.core.check;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.WaitRule;

/** Some days on end are closed, so that all that is due then goes out on the day behind them. */
final class ClosedDays implements Check {
  private static final int WEEK = 7;
  private static final int FEWEST = 2;

  @Override
  public List<Finding> look(CheckContext context) {
    Journey journey = context.expanded();
    Stream<Set<DayOfWeek>> waited =
        journey.only(Step.Wait.class).stream().flatMap(wait -> days(wait.rule()).stream());
    return Stream.concat(journey.sendWindow().map(SendWindow::days).stream(), waited)
        .filter(open -> open.size() >= FEWEST)
        .filter(open -> longest(open) >= FEWEST)
        .findFirst()
        .map(open -> List.of(finding(open)))
        .orElse(List.of());
  }

  private static Optional<Set<DayOfWeek>> days(WaitRule rule) {
    return switch (rule) {
      case WaitRule.Until until -> Optional.of(until.moment().days());
      case WaitRule.For waits -> waits.thenUntil().map(TimeOfDay::days);
      case WaitRule.UntilDate until -> Optional.empty();
      case WaitRule.UntilDay until -> Optional.empty();
      case WaitRule.AroundDate around -> Optional.empty();
      case WaitRule.UntilNthWeekday until -> Optional.empty();
      case WaitRule.UntilHappens until -> Optional.empty();
    };
  }

  private static int longest(Set<DayOfWeek> open) {
    return open.stream().mapToInt(day -> closedBefore(day, open)).max().orElse(0);
  }

  private static int closedBefore(DayOfWeek day, Set<DayOfWeek> open) {
    int closed = 0;
    while (closed < WEEK && !open.contains(day.minus(closed + 1L))) {
      closed++;
    }
    return closed;
  }

  private static Finding finding(Set<DayOfWeek> open) {
    int most = longest(open);
    DayOfWeek day =
        open.stream().filter(one -> closedBefore(one, open) == most).findFirst().orElseThrow();
    String closed =
        Stream.iterate(day.minus(most), one -> one.plus(1))
            .limit(most)
            .map(ClosedDays::name)
            .collect(Collectors.joining(", "));
    return Findings.note(
        "closed-days",
        "Nothing goes out on %s, so what is due then goes out on %s, too: about %s of a week in one day, if people come in on all days alike."
            .formatted(closed, name(day), Findings.percent((most + 1.0) / WEEK)));
  }

  private static String name(DayOfWeek day) {
    return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }
}
