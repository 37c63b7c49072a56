package org.opentrellis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.Outcomes;
import org.opentrellis.core.dryrun.RunCancelled;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.ShareDifference;

/**
 * What moves the goal most. Each number is varied a little by itself, the same people go through
 * again (common random numbers), and the goals are compared person by person.
 *
 * @param people who went through each time
 * @param goal as the plan is
 * @param rows the one that moves the goal most first
 */
public record WhatMatters(int people, Share goal, List<MattersRow> rows) {
  /** So many people go through for each number at most. */
  public static final int MOST_PEOPLE = 10_000;

  private static final int POINTS = 11;

  /**
   * One number.
   *
   * @param step the step of the journey that it belongs to; null for the people's
   * @param lower the goal's change with a little less; null if nobody entered
   * @param higher the goal's change with a little more
   * @param swing the larger of both, in [0, 1]
   * @param sentence the figures in words
   */
  public record MattersRow(
      String id,
      String name,
      String unit,
      double value,
      double lowerValue,
      double higherValue,
      @Nullable String step,
      @Nullable ShareDifference lower,
      @Nullable ShareDifference higher,
      double swing,
      String sentence) {}

  /**
   * The goal over a number's range.
   *
   * @param points in order of their values
   */
  public record Sweep(String id, String name, String unit, double value, List<SweepPoint> points) {}

  /**
   * @param against the goal's change from the plan as it is, the same people compared one by one
   */
  public record SweepPoint(double value, Share goal, @Nullable ShareDifference against) {}

  /**
   * All numbers of a plan. Nothing is varied of a journey without a goal.
   *
   * @param control told of each time that people go through
   * @throws RunCancelled if the control says so
   */
  public static WhatMatters of(VariedRun whole, RunControl control) {
    VariedRun plan = fewer(whole);
    Outcomes base = outcomes(plan, control);
    if (plan.journey().goal().isEmpty()) {
      return new WhatMatters(plan.settings().people(), Share.of(0, 0), List.of());
    }
    List<MattersRow> rows =
        Knobs.of(plan).parallelStream()
            .map(knob -> row(knob, plan, base, control))
            .sorted(
                Comparator.comparingDouble(MattersRow::swing)
                    .reversed()
                    .thenComparing(MattersRow::id))
            .toList();
    return new WhatMatters(plan.settings().people(), share(base), rows);
  }

  /**
   * The goal over the range of one number.
   *
   * @return empty if the plan has no such number
   */
  public static Optional<Sweep> sweep(VariedRun whole, String id, RunControl control) {
    VariedRun plan = fewer(whole);
    Outcomes base = outcomes(plan, control);
    return Knobs.of(plan).stream()
        .filter(knob -> knob.id().equals(id))
        .findFirst()
        .map(
            knob ->
                new Sweep(
                    knob.id(),
                    knob.name(),
                    knob.unit(),
                    knob.value(),
                    values(knob).parallelStream()
                        .map(v -> point(knob, v, plan, base, control))
                        .toList()));
  }

  private static List<Double> values(Knob knob) {
    List<Double> values = new ArrayList<>();
    for (int i = 0; i < POINTS; i++) {
      double value = knob.least() + i * (knob.most() - knob.least()) / (POINTS - 1);
      values.add(knob.id().startsWith("wait:") ? Math.max(1, Math.rint(value)) : value);
    }
    values.add(knob.value());
    return values.stream().distinct().sorted().toList();
  }

  private static SweepPoint point(
      Knob knob, double value, VariedRun plan, Outcomes base, RunControl control) {
    Outcomes there = outcomes(knob.at(value, plan), control);
    return new SweepPoint(value, share(there), ShareDifference.paired(there.against(base)));
  }

  private static MattersRow row(Knob knob, VariedRun plan, Outcomes base, RunControl control) {
    ShareDifference lower = change(knob, knob.lower(), plan, base, control);
    ShareDifference higher = change(knob, knob.higher(), plan, base, control);
    double swing = Math.max(size(lower), size(higher));
    return new MattersRow(
        knob.id(),
        knob.name(),
        knob.unit(),
        knob.value(),
        knob.lower(),
        knob.higher(),
        knob.step(),
        lower,
        higher,
        swing,
        sentence(knob, lower, higher));
  }

  private static @Nullable ShareDifference change(
      Knob knob, double value, VariedRun plan, Outcomes base, RunControl control) {
    return value == knob.value()
        ? null
        : ShareDifference.paired(outcomes(knob.at(value, plan), control).against(base));
  }

  private static double size(@Nullable ShareDifference change) {
    return change == null ? 0 : Math.abs(change.points());
  }

  private static String sentence(
      Knob knob, @Nullable ShareDifference lower, @Nullable ShareDifference higher) {
    boolean none =
        (lower == null || !lower.realDifference()) && (higher == null || !higher.realDifference());
    List<String> parts = new ArrayList<>();
    if (lower != null) {
      parts.add("at %s the goal moves by %s".formatted(number(knob.lower(), knob), points(lower)));
    }
    if (higher != null) {
      parts.add("at %s by %s".formatted(number(knob.higher(), knob), points(higher)));
    }
    return "%s is %s: %s points%s."
        .formatted(
            knob.name(),
            number(knob.value(), knob),
            String.join(", ", parts),
            none ? "; neither is more than chance" : "");
  }

  private static String number(double value, Knob knob) {
    String text = String.format(Locale.ROOT, Math.abs(value) >= 10 ? "%.1f" : "%.2f", value);
    String short1 = text.replaceAll("\\.?0+$", "");
    return knob.unit().equals("%") ? short1 + "%" : short1 + " " + knob.unit();
  }

  private static String points(ShareDifference change) {
    return String.format(Locale.ROOT, "%+.1f", 100 * change.points()).replace('-', '\u2212');
  }

  private static VariedRun fewer(VariedRun plan) {
    int people = Math.min(MOST_PEOPLE, plan.settings().people());
    return new VariedRun(
        plan.journey(),
        plan.catalogue(),
        plan.behaviour(),
        plan.cohort(),
        plan.settings().withPeople(people));
  }

  private static Outcomes outcomes(VariedRun plan, RunControl control) {
    return Outcomes.of(plan.dryRun(), 0, new Effort(1, control));
  }

  private static Share share(Outcomes outcomes) {
    return Share.of(outcomes.goal().count(), outcomes.goal().of());
  }
}
