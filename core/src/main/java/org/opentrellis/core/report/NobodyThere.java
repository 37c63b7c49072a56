package org.opentrellis.core.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.sentence.Sentences;

/**
 * Arms and steps where nobody of a whole cohort gets to, though many come to the step before: the
 * first of each, with what is lost behind it.
 */
public final class NobodyThere {
  /** Of fewer people it may be chance. */
  private static final int ENOUGH = 200;

  /**
   * A place that nobody gets to.
   *
   * @param step the arm's or step's id
   * @param sentence how many might have, what is behind it, and why they do not
   */
  public record Place(String step, String sentence) {}

  private final Map<String, StepMeasures> measures;
  private final Sentences sentences;
  private final List<Place> places = new ArrayList<>();

  private NobodyThere(RunMeasures measures, Sentences sentences) {
    this.measures =
        measures.steps().stream().collect(Collectors.toMap(StepMeasures::id, Function.identity()));
    this.sentences = sentences;
  }

  /**
   * @param journey the one that was run, with the steps of its strands in place
   */
  public static List<Place> of(RunMeasures measures, Journey journey, Sentences sentences) {
    NobodyThere nobody = new NobodyThere(measures, sentences);
    nobody.look(journey.body());
    return nobody.places;
  }

  private void look(List<Step> steps) {
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      StepMeasures here = of(step.id());
      if (here == null || here.reach().count() < ENOUGH) {
        return;
      }
      for (Way way : step.ways()) {
        look(step, here, way);
      }
      if (i + 1 < steps.size() && isEmpty(steps.get(i + 1))) {
        places.add(behind(here, steps.subList(i + 1, steps.size())));
        return;
      }
    }
  }

  private boolean isEmpty(Step step) {
    StepMeasures measured = of(step.id());
    return measured != null && measured.reach().count() == 0;
  }

  private @Nullable StepMeasures of(StepId step) {
    return measures.get(step.value());
  }

  private void look(Step step, StepMeasures here, Way way) {
    Share taken =
        here.arms().stream()
            .filter(arm -> arm.id().equals(way.id().value()))
            .map(StepMeasures.ArmMeasures::taken)
            .findFirst()
            .orElseThrow();
    if (taken.count() > 0) {
      look(way.steps());
    } else if (taken.of() >= ENOUGH) {
      places.add(new Place(way.id().value(), arm(step, taken, way)));
    }
  }

  private String arm(Step step, Share taken, Way way) {
    return "None of the %s people of the estimate who are parted here takes this arm%s: %s."
        .formatted(number(taken.of()), lost(way.steps()), whyNot(step, way));
  }

  private String whyNot(Step step, Way way) {
    if (!(step instanceof Step.Branch branch)) {
      return "its share is too small for that many";
    }
    if (branch.otherwise().id().equals(way.id())) {
      return "the arms above take everybody";
    }
    String asked =
        branch.arms().stream()
            .filter(arm -> arm.id().equals(way.id()))
            .map(arm -> sentences.condition(arm.condition()).text())
            .findFirst()
            .orElseThrow();
    String when =
        branch.waitUpTo().isPresent()
            ? "while they wait here"
            : "when they get here, since the branch does not wait for it";
    return "\u201c%s\u201d is true of none of them %s".formatted(asked, when);
  }

  private static Place behind(StepMeasures before, List<Step> lost) {
    long here = before.reach().count();
    String why =
        before.waiting() == here
            ? "all of them still wait there when the estimate ends"
            : before.left().count() + before.finished() == here
                ? "all of them leave or finish before"
                : "all of them leave, finish or still wait before";
    return new Place(
        lost.get(0).id().value(),
        "None of the %s people of the estimate who come to the line before gets here%s: %s."
            .formatted(number(here), lost(lost.subList(1, lost.size())), why));
  }

  private static String lost(List<Step> steps) {
    long count = steps.stream().flatMap(Step::all).count();
    return count == 0
        ? ""
        : ", so %s behind it %s nobody"
            .formatted(
                count == 1 ? "the step" : "the " + count + " steps",
                count == 1 ? "reaches" : "reach");
  }

  private static String number(long count) {
    return String.format(Locale.ROOT, "%,d", count);
  }
}
