package org.opentrellis.core.check;

import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Labels;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/** Which tags and lists journeys set, and which they ask about. */
final class LabelUse {
  private LabelUse() {}

  /**
   * Everything that people can carry: set by a step, brought by a trigger or by a group, or had by
   * somebody now.
   */
  static Set<Name> known(CheckContext context) {
    Set<Name> known = new HashSet<>();
    context.all().flatMap(one -> one.sets().names()).forEach(known::add);
    context.behaviour().groups().forEach(g -> known.addAll(g.tags()));
    context.behaviour().groups().forEach(g -> known.addAll(g.lists()));
    known.addAll(context.carried());
    return known;
  }

  /** The tags and lists that a journey sets, or that people get to come into it. */
  static Stream<Name> setBy(Journey journey) {
    Stream<Name> brought = journey.triggers().stream().flatMap(LabelUse::waitedFor);
    Stream<Name> set = journey.steps().flatMap(LabelUse::setBy);
    return Stream.concat(brought, set);
  }

  /** The tag or list that a trigger waits for. */
  static Stream<Name> waitedFor(Trigger trigger) {
    return Labels.waitedFor(trigger).stream();
  }

  /** The tags and lists that a step sets. */
  static Stream<Name> setBy(Step step) {
    return step instanceof Step.Change change
        ? change.changes().stream().flatMap(one -> Labels.setBy(one).stream())
        : Stream.empty();
  }

  /** Every question that a journey asks, besides those of its steps. */
  static Stream<Condition> askedByRules(Journey journey) {
    return Stream.of(
            journey.entryFilter().stream(),
            journey.leaveConditions(),
            journey.goal().map(Goal::what).stream(),
            journey.secondaryGoals().stream().map(SecondaryGoal::what))
        .flatMap(all -> all);
  }

  /** The tags and lists that a condition asks about. */
  static Stream<Name> in(Condition condition) {
    return condition.all().flatMap(one -> Labels.askedBy(one).stream());
  }

  /** The tags and lists that a journey goes by. */
  static Stream<Name> askedBy(Journey journey) {
    Stream<Condition> asked =
        Stream.concat(
            askedByRules(journey), journey.steps().flatMap(step -> step.conditions().stream()));
    return Stream.concat(
        journey.triggers().stream().flatMap(LabelUse::waitedFor), asked.flatMap(LabelUse::in));
  }

  /** Every tag and list that some journey or segment goes by. */
  static Set<Name> used(CheckContext context) {
    Stream<Name> bySegments =
        context.catalogue().segments().stream().map(Segment::who).flatMap(LabelUse::in);
    return Stream.concat(context.all().flatMap(one -> one.asks().names()), bySegments)
        .collect(Collectors.toSet());
  }

  /** "tag planner", "list Newcomers". */
  static String words(Name name) {
    return (name instanceof TagName ? "tag" : "list") + " \u201c" + name.value() + "\u201d";
  }

  static boolean isList(Name name) {
    return name instanceof ListName;
  }
}
