package org.opentrellis.core.report;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.CohortPlan;

/** Says who enters, and when. */
public final class CohortWords {
  private static final List<String> DAYS =
      List.of("Mondays", "Tuesdays", "Wednesdays", "Thursdays", "Fridays", "Saturdays", "Sundays");

  private CohortWords() {}

  /** In a sentence. */
  public static String of(CohortPlan plan) {
    String who =
        plan.groups().size() == 1
            ? plan.groups().get(0).name()
            : String.join(", ", plan.groups().stream().map(CohortWords::part).toList());
    String heldOut =
        plan.holdOut() == 0
            ? ""
            : String.format(Locale.ROOT, "; %s of them get nothing", percent(plan.holdOut()));
    return "%,d people (%s), %s%s."
        .formatted(plan.people(), who, arrivals(plan.arrivals()), heldOut);
  }

  private static String part(AudienceGroup group) {
    return percent(group.share()) + " " + group.name();
  }

  private static String percent(double share) {
    String text = String.format(Locale.ROOT, "%.1f", share * 100);
    return (text.endsWith(".0") ? text.substring(0, text.length() - 2) : text) + "%";
  }

  /** When they come. */
  public static String arrivals(ArrivalPlan plan) {
    return switch (plan) {
      case ArrivalPlan.AtOnce once -> "all at once at " + once.at();
      case ArrivalPlan.Evenly evenly ->
          evenly.days() == 1 ? "over one day" : "evenly over %d days".formatted(evenly.days());
      case ArrivalPlan.Daily daily -> daily(daily);
      case ArrivalPlan.OnDates on ->
          onDates(on.dates().stream().map(ArrivalPlan.DatedShare::date).toList());
    };
  }

  private static String onDates(List<LocalDate> dates) {
    return dates.size() == 1
        ? "on " + dates.get(0)
        : "on %d dates from %s to %s"
            .formatted(dates.size(), dates.get(0), dates.get(dates.size() - 1));
  }

  private static String daily(ArrivalPlan.Daily daily) {
    int most = 0;
    for (int day = 1; day < 7; day++) {
      most = daily.on(day) > daily.on(most) ? day : most;
    }
    boolean even = daily.weekdays().stream().distinct().count() == 1;
    return String.format(Locale.ROOT, "%,.0f a day", daily.perDay())
        + (even ? "" : ", most on " + DAYS.get(most));
  }
}
