package org.opentrellis.core.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.measure.DropOff;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.measure.RunSummary;
import org.opentrellis.core.measure.Share;
import org.opentrellis.core.measure.ShareDifference;
import org.opentrellis.core.measure.ShareWords;
import org.opentrellis.core.measure.StepMeasures;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/**
 * Finds the weakest email and the biggest loss of a run. What usually helps is common practice, no
 * source.
 */
final class Highlights {
  private static final int ENOUGH = 200;

  private final RunMeasures run;
  private final DropOff dropOff;
  private final Map<String, Step> steps;
  private final Sentences sentences;

  /**
   * @param journey with the steps of its strands in place
   */
  Highlights(RunMeasures run, DropOff dropOff, Journey journey, Sentences sentences) {
    this.run = run;
    this.dropOff = dropOff;
    this.steps = journey.steps().collect(Collectors.toMap(step -> step.id().value(), one -> one));
    this.sentences = sentences;
  }

  List<Highlight> find() {
    List<Highlight> found = new ArrayList<>();
    if (run.entered() == 0) {
      return found;
    }
    if (run.goal() == null) {
      found.add(
          new Highlight(
              Highlight.Kind.NO_GOAL,
              "Give the journey a goal: without one nothing here says whether it works.",
              null));
    }
    RunSummary.added(run)
        .ifPresent(told -> found.add(new Highlight(Highlight.Kind.ADDED, told, null)));
    weakest().ifPresent(found::add);
    loss().ifPresent(found::add);
    return found;
  }

  /** Further tries go to those who did not open the first, so they are not measured by the rest. */
  private Optional<Highlight> weakest() {
    Set<String> tries = new HashSet<>();
    run.chains().forEach(chain -> tries.addAll(chain.steps().subList(1, chain.steps().size())));
    List<StepMeasures> emails =
        run.steps().stream()
            .filter(
                step -> steps.get(step.id()) instanceof Step.SendEmail send && send.tracksOpens())
            .filter(step -> !tries.contains(step.id()) && opened(step).of() >= ENOUGH)
            .toList();
    if (emails.size() < 2) {
      return Optional.empty();
    }
    StepMeasures weak =
        emails.stream().min(Comparator.comparing(step -> share(opened(step)))).orElseThrow();
    Share rest = rest(emails, weak);
    ShareDifference difference = ShareDifference.unpaired(opened(weak), rest);
    return difference == null || !difference.realDifference()
        ? Optional.of(
            new Highlight(
                Highlight.Kind.WEAKEST_EMAIL,
                "No email is opened less than the others by more than chance.",
                null))
        : Optional.of(
            new Highlight(
                Highlight.Kind.WEAKEST_EMAIL,
                "The weakest email is %s: %s read it, and %s the others. Another subject or hour usually helps."
                    .formatted(
                        name(weak.id()), ShareWords.figure(opened(weak)), ShareWords.percent(rest)),
                weak.id()));
  }

  private static Share rest(List<StepMeasures> emails, StepMeasures but) {
    long count = 0;
    long of = 0;
    for (StepMeasures email : emails) {
      if (!email.equals(but)) {
        count += opened(email).count();
        of += opened(email).of();
      }
    }
    return Share.of(count, of);
  }

  private static Share opened(StepMeasures step) {
    return step.email() == null ? Share.of(0, 0) : step.email().openedByPeople();
  }

  private Optional<Highlight> loss() {
    return dropOff.places().stream()
        .filter(place -> place.lost().count() > 0)
        .max(Comparator.comparingLong(place -> place.lost().count()))
        .map(
            place ->
                new Highlight(
                    Highlight.Kind.BIGGEST_LOSS,
                    "Most are lost at %s: %,d (%s), %s."
                        .formatted(
                            name(place.step()),
                            place.lost().count(),
                            ShareWords.figure(place.lost()),
                            why(place)),
                    place.step()));
  }

  private static String why(DropOff.DropPlace place) {
    long half = (place.lost().count() + 1) / 2;
    if (place.bounced() >= half) {
      return "mostly dead addresses. Having addresses confirmed at sign-up usually helps";
    }
    if (place.complained() >= half) {
      return "mostly by complaints. A way out that is easy to see usually helps";
    }
    if (place.unsubscribed() >= half) {
      return "mostly unsubscribed. Saying at sign-up what comes, and sending less, usually helps";
    }
    return "for several reasons, which Drop-off tells apart";
  }

  private String name(String step) {
    return Style.quoted(sentences.brief(steps.get(step)));
  }

  private static double share(Share share) {
    return share.value() == null ? 1 : share.value();
  }
}
