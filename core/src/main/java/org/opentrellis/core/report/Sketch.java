package org.opentrellis.core.report;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.measure.Arrival;
import org.opentrellis.core.measure.EmailMeasures;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;

/**
 * What a small picture of a run takes, and no more: it has the shape of {@link RunMeasures}, so
 * that one drawing serves both.
 *
 * @param entered times that somebody entered
 * @param steps in the order of the run sheet
 */
public record Sketch(long entered, List<SketchedStep> steps) {
  private static final double EXACT = 1_000;

  /** As {@link StepMeasures}. */
  public record SketchedStep(
      String id,
      Counted reach,
      long passed,
      @Nullable Moment arrival,
      List<SketchedArm> arms,
      @Nullable SketchedEmail email) {}

  /** The numerator of a {@link Share}. */
  public record Counted(long count) {}

  /** The value of a {@link Share}, to a thousandth; null where there is none yet. */
  public record Valued(@Nullable Double value) {}

  /** As {@link Arrival}. */
  public record Moment(int day, @Nullable String localTime, double latestHours) {}

  /** As {@link StepMeasures.ArmMeasures}. */
  public record SketchedArm(String id, Counted taken) {}

  /** As {@link EmailMeasures}. */
  public record SketchedEmail(Valued opened, Valued clicked) {}

  public static Sketch of(RunMeasures measures) {
    return new Sketch(measures.entered(), measures.steps().stream().map(Sketch::of).toList());
  }

  private static SketchedStep of(StepMeasures step) {
    Arrival at = step.arrival();
    EmailMeasures email = step.email();
    return new SketchedStep(
        step.id(),
        counted(step.reach()),
        step.passed(),
        at == null ? null : new Moment(at.day(), at.localTime(), rounded(at.latestHours())),
        step.arms().stream().map(arm -> new SketchedArm(arm.id(), counted(arm.taken()))).toList(),
        email == null ? null : new SketchedEmail(valued(email.opened()), valued(email.clicked())));
  }

  private static Counted counted(Share share) {
    return new Counted(share.count());
  }

  private static Valued valued(Share share) {
    return new Valued(share.value() == null ? null : rounded(share.value()));
  }

  private static double rounded(double value) {
    return Math.round(value * EXACT) / EXACT;
  }
}
