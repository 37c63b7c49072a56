package org.opentrellis.core.arrange;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.IfPast;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Renaming;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepEdits;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.WaitRule;
import org.opentrellis.core.sentence.Sentences;

/**
 * Makes a strand of some neighbouring steps of a journey, which then goes through the strand in
 * their place. People notice nothing: what the journey asked about their emails it asks about those
 * of the strand.
 */
public final class Gathering {
  private static final int LONGEST_ID = 32;

  private final Journey journey;
  private final Catalogue catalogue;

  public Gathering(Journey journey, Catalogue catalogue) {
    this.journey = journey;
    this.catalogue = catalogue;
  }

  /**
   * @param rows chosen ones stand for the smallest stretch of neighbouring steps that covers them
   * @param name what the strand is to be called
   */
  public Arranged gather(Set<String> rows, String name) {
    if (rows.stream().anyMatch(row -> row.indexOf('/') >= 0)) {
      return new Arranged.Refused("These steps belong to a strand already.");
    }
    return Stretch.covering(journey, rows)
        .map(stretch -> gathered(stretch.steps(), name))
        .orElseGet(() -> new Arranged.Refused("These steps are not in the journey any more."));
  }

  private Arranged gathered(List<Step> steps, String name) {
    Set<StepId> inside = ids(steps);
    Optional<String> looksOut = looksOut(steps, inside);
    if (looksOut.isPresent()) {
      return new Arranged.Refused(looksOut.get());
    }
    Strand strand = new Strand(freeId(name), name, steps);
    Step.Include include = new Step.Include(new FreshIds(journey).next("strand"), strand.id());
    Renaming renaming =
        new Renaming(id -> inside.contains(id) ? new StepId(include.id() + "/" + id) : id);
    Journey without =
        StepEdits.without(
            journey, steps.stream().skip(1).map(Step::id).collect(Collectors.toSet()));
    Journey with = StepEdits.replace(without, steps.get(0).id(), first -> List.of(include));
    return new Arranged.Gathered(renamed(with, renaming), List.of(include), strand);
  }

  private static Set<StepId> ids(List<Step> steps) {
    return new HashSet<>(steps.stream().flatMap(Step::all).flatMap(Step::ids).toList());
  }

  private static Journey renamed(Journey journey, Renaming renaming) {
    return journey
        .edit()
        .body(renaming.steps(journey.body()))
        .leaveWhen(
            journey.leaveWhen().stream()
                .map(rule -> new LeaveRule(renaming.condition(rule.when()), rule.into()))
                .toList())
        .goal(
            journey
                .goal()
                .map(
                    goal ->
                        new Goal(
                            renaming.condition(goal.what()),
                            goal.withinDays(),
                            goal.leaveWhenMet())))
        .secondaryGoals(
            journey.secondaryGoals().stream()
                .map(goal -> new SecondaryGoal(renaming.condition(goal.what()), goal.withinDays()))
                .toList())
        .done();
  }

  /** Why the steps cannot stand by themselves: the first that needs what stands elsewhere. */
  private Optional<String> looksOut(List<Step> steps, Set<StepId> inside) {
    Sentences sentences = new Sentences(journey, catalogue);
    Predicate<StepId> elsewhere = id -> !inside.contains(id);
    for (Step step : steps.stream().flatMap(Step::all).toList()) {
      if (Unanswerable.asked(step).stream().anyMatch(elsewhere)) {
        return Optional.of(
            "\u201c%s\u201d asks about an email that is sent outside these rows. Take that email in, too."
                .formatted(sentences.step(step).text()));
      }
      if (skipsTo(step).filter(elsewhere).isPresent()) {
        return Optional.of(
            "\u201c%s\u201d skips to a line outside these rows. Take that line in, too."
                .formatted(sentences.step(step).text()));
      }
    }
    return journey
        .steps()
        .filter(step -> !inside.contains(step.id()))
        .filter(step -> skipsTo(step).filter(inside::contains).isPresent())
        .findFirst()
        .map(
            step ->
                "\u201c%s\u201d skips into these rows, which a strand does not allow."
                    .formatted(sentences.step(step).text()));
  }

  private static Optional<StepId> skipsTo(Step step) {
    if (!(step instanceof Step.Wait wait)) {
      return Optional.empty();
    }
    IfPast past =
        switch (wait.rule()) {
          case WaitRule.UntilDate until -> until.ifPast();
          case WaitRule.UntilDay until -> until.ifPast();
          case WaitRule.AroundDate around -> around.ifPast();
          case WaitRule.For waits -> new IfPast.GoOn();
          case WaitRule.Until until -> new IfPast.GoOn();
          case WaitRule.UntilNthWeekday until -> new IfPast.GoOn();
          case WaitRule.UntilHappens until -> new IfPast.GoOn();
        };
    return past instanceof IfPast.SkipTo skip ? Optional.of(skip.step()) : Optional.empty();
  }

  /** An id made of the name, which no strand has yet. */
  private StrandId freeId(String name) {
    String words = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    String bare = words.replaceAll("^-|-$", "");
    String begin =
        bare.isEmpty() ? "strand" : bare.substring(0, Math.min(bare.length(), LONGEST_ID));
    String id = begin;
    for (int n = 2; catalogue.strand(new StrandId(id)).isPresent(); n++) {
      id = begin + "-" + n;
    }
    return new StrandId(id);
  }
}
