package org.opentrellis.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The emails of a run in the order in which people get them, for lining runs up. */
public final class EmailOrder {
  private EmailOrder() {}

  /**
   * One email in its place.
   *
   * @param step the email's measures
   * @param before the change of each measure from the email before; null for the first
   */
  public record Place(StepMeasures step, @Nullable ChangeFromBefore before) {}

  /**
   * The change from the email before, in [-1, 1]; null where one of the two has nobody yet. Partly
   * the same people got both, so no chance is given for it.
   */
  public record ChangeFromBefore(
      @Nullable Double opened,
      @Nullable Double clicked,
      @Nullable Double clickToOpen,
      @Nullable Double reach) {}

  /** By median time since entry, then by the run sheet; emails that nobody got come last. */
  public static List<Place> of(RunMeasures run) {
    List<StepMeasures> emails =
        run.steps().stream()
            .filter(step -> step.email() != null)
            .sorted(Comparator.comparingDouble(EmailOrder::hours))
            .toList();
    List<Place> places = new ArrayList<>();
    StepMeasures before = null;
    for (StepMeasures email : emails) {
      places.add(new Place(email, before == null ? null : change(before, email)));
      before = email;
    }
    return places;
  }

  private static double hours(StepMeasures step) {
    return step.arrival() == null ? Double.POSITIVE_INFINITY : step.arrival().medianHours();
  }

  private static ChangeFromBefore change(StepMeasures before, StepMeasures now) {
    EmailMeasures one = java.util.Objects.requireNonNull(before.email());
    EmailMeasures two = java.util.Objects.requireNonNull(now.email());
    return new ChangeFromBefore(
        minus(two.opened(), one.opened()),
        minus(two.clicked(), one.clicked()),
        minus(two.clickToOpen(), one.clickToOpen()),
        minus(now.reach(), before.reach()));
  }

  private static @Nullable Double minus(Share now, Share before) {
    return now.value() == null || before.value() == null ? null : now.value() - before.value();
  }
}
