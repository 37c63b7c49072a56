package org.opentrellis.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.problem.Refused;

/** The shares of split tests. */
final class WeightFactors {
  private final Factors factors;

  WeightFactors(Factors factors) {
    this.factors = factors;
  }

  Factor weights(Leeway.Weights leeway) {
    if (!(factors.step(leeway.step()) instanceof Step.SplitTest split)) {
      throw new Refused("step %s is no split test".formatted(leeway.step()));
    }
    List<Double> now = split.arms().stream().map(SplitArm::percent).toList();
    List<List<Double>> choices = new ArrayList<>(List.of(now));
    mixtures(split.arms().size(), 100, leeway.by(), new ArrayList<>(), choices);
    if (choices.size() > Leeway.MOST_LEVELS) {
      throw new Refused(
          "%d ways to part people in steps of %d percent are too many; take larger steps"
              .formatted(choices.size(), leeway.by()));
    }
    List<Level> levels = choices.stream().map(percents -> level(split, percents)).toList();
    return new Factor("weights:" + split.id(), factors.placed(split), levels, 0);
  }

  private Level level(Step.SplitTest split, List<Double> percents) {
    String brief =
        percents.stream().map(WeightFactors::number).collect(Collectors.joining(" / ")) + " %";
    return factors.reading(
        split.id(),
        brief,
        brief,
        journey ->
            StepEdits.change(
                journey,
                split.id(),
                step -> step instanceof Step.SplitTest test ? with(test, percents) : step));
  }

  private static Step with(Step.SplitTest split, List<Double> percents) {
    List<SplitArm> arms = new ArrayList<>();
    for (SplitArm arm : split.arms()) {
      arms.add(new SplitArm(arm.id(), percents.get(arms.size()), arm.steps()));
    }
    return new Step.SplitTest(split.id(), arms);
  }

  /** Every way to part what is left among so many arms, in steps. */
  private static void mixtures(
      int arms, int left, int by, List<Double> begun, List<List<Double>> all) {
    if (arms == 1) {
      List<Double> whole = new ArrayList<>(begun);
      whole.add((double) left);
      if (!all.contains(whole)) {
        all.add(whole);
      }
      return;
    }
    for (int percent = 0; percent <= left; percent += by) {
      begun.add((double) percent);
      mixtures(arms - 1, left - percent, by, begun, all);
      begun.remove(begun.size() - 1);
    }
  }

  private static String number(double percent) {
    return percent == Math.rint(percent) ? Long.toString((long) percent) : Double.toString(percent);
  }
}
