package org.opentrellis.core.calibrate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;

/**
 * One thing that was assumed, and what a history says of it.
 *
 * @param step that it is told of; empty if it holds for all
 * @param before what was assumed
 * @param now what was measured
 */
public record Lesson(About about, Optional<StepId> step, double before, Estimate now) {

  /** What is assumed, and what it is counted in. */
  public enum About {
    /**
     * How many people open this email; of pull and keenness together, which alone mean little. The
     * interval is that of its pull.
     */
    OPENS(Unit.SHARE),
    CLICK_GIVEN_OPEN(Unit.SHARE),
    UNSUBSCRIBE_GIVEN_OPEN(Unit.SHARE),
    PRELOADS(Unit.SHARE),
    COMES_BACK(Unit.SHARE),
    OPEN_MEDIAN(Unit.HOURS),
    BUY_AFTER_CLICK(Unit.SHARE),
    BUY_MEAN(Unit.HOURS),
    /** Within 30 days. */
    BUYS_ANYWAY(Unit.SHARE);

    private final Unit unit;

    About(Unit unit) {
      this.unit = unit;
    }

    public Unit unit() {
      return unit;
    }
  }

  /** What a value is counted in. */
  public enum Unit {
    SHARE,
    HOURS
  }

  /** Whether what was assumed is not what was measured, by more than chance. */
  public boolean differs() {
    return !now.contains(before);
  }

  /** How many of some differ, in words. */
  public static String verdict(List<Lesson> lessons) {
    long differ = lessons.stream().filter(Lesson::differs).count();
    return switch ((int) differ) {
      case 0 ->
          "None of %d values differs from what was assumed by more than chance: more people would tell more."
              .formatted(lessons.size());
      case 1 ->
          "One of %d values differs from what was assumed by more than chance."
              .formatted(lessons.size());
      default ->
          "%d of %d values differ from what was assumed by more than chance."
              .formatted(differ, lessons.size());
    };
  }

  /**
   * @param before the assumptions of a journey
   * @param fitted to a history that calls each message by the id of the step or variant that sent
   *     it
   * @param sends the journey's steps that send something
   */
  public static List<Lesson> of(
      Behaviour before, Calibration fitted, List<? extends Step.Send> sends) {
    Behaviour after = fitted.intoSteps(before, sends);
    double scale = fitted.scale(before.groups());
    List<Lesson> lessons = new ArrayList<>();
    for (Step.Send send : sends) {
      Reaction usual = before.reactionTo(send.id());
      if (send.versions().isEmpty()) {
        lessons.addAll(ofMessage(send.id(), usual, before, after, fitted, scale));
      }
      for (Variant variant : send.versions()) {
        Reaction own = before.emails().getOrDefault(variant.id(), usual);
        lessons.addAll(ofMessage(variant.id(), own, before, after, fitted, scale));
      }
    }
    AudienceGroup group = before.groups().getFirst();
    lessons.add(ofAll(About.PRELOADS, group.preloads().value(), fitted.preloads()));
    lessons.add(ofAll(About.COMES_BACK, group.softBounce().value(), fitted.bounced()));
    lessons.add(
        ofAll(About.OPEN_MEDIAN, before.openMedianHours().value(), fitted.openMedianHours()));
    fitted
        .buyAfterClick()
        .ifPresent(
            now -> lessons.add(ofAll(About.BUY_AFTER_CLICK, before.buyAfterClick().value(), now)));
    fitted
        .buyMeanHours()
        .ifPresent(now -> lessons.add(ofAll(About.BUY_MEAN, before.buyMeanHours().value(), now)));
    if (before.groups().size() == 1) {
      fitted
          .buysAnyway()
          .ifPresent(now -> lessons.add(ofAll(About.BUYS_ANYWAY, group.buysAnyway().value(), now)));
    }
    return lessons;
  }

  private static Lesson ofAll(About about, double before, Estimate now) {
    return new Lesson(about, Optional.empty(), before, now);
  }

  private static List<Lesson> ofMessage(
      StepId step,
      Reaction was,
      Behaviour before,
      Behaviour after,
      Calibration fitted,
      double scale) {
    Calibration.OfMessage is = fitted.messages().get(step.value());
    List<Lesson> lessons = new ArrayList<>();
    if (is == null) {
      return lessons;
    }
    is.pull()
        .ifPresent(
            pull ->
                lessons.add(
                    new Lesson(
                        About.OPENS,
                        Optional.of(step),
                        OpenChance.ofPeople(before.groups(), was.pull().value()),
                        opens(after.groups(), pull.times(scale)))));
    is.clickGivenOpen()
        .ifPresent(
            now ->
                lessons.add(
                    new Lesson(
                        About.CLICK_GIVEN_OPEN,
                        Optional.of(step),
                        was.clickGivenOpen().value(),
                        now)));
    is.unsubscribeGivenOpen()
        .ifPresent(
            now ->
                lessons.add(
                    new Lesson(
                        About.UNSUBSCRIBE_GIVEN_OPEN,
                        Optional.of(step),
                        was.unsubscribeGivenOpen().value(),
                        now)));
    return lessons;
  }

  private static Estimate opens(List<AudienceGroup> groups, Estimate pull) {
    return new Estimate(
        OpenChance.ofPeople(groups, pull.value()),
        OpenChance.ofPeople(groups, pull.low()),
        OpenChance.ofPeople(groups, pull.high()),
        pull.count());
  }
}
