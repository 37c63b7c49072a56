package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.problem.Severity;

/** A question about a tag that nobody can carry: misspelt, or never set anywhere. */
final class TagNeverSet implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Set<TagName> known = new HashSet<>(context.tagsSetElsewhere());
    tagsSetBy(context.journey()).forEach(known::add);
    context.behaviour().groups().forEach(group -> known.addAll(group.tags()));
    List<Finding> findings = new ArrayList<>();
    context
        .journey()
        .entryFilter()
        .ifPresent(filter -> unknown(filter, known).forEach(t -> findings.add(finding(t, null))));
    context
        .journey()
        .steps()
        .filter(Step.Branch.class::isInstance)
        .forEach(
            step ->
                ((Step.Branch) step)
                    .arms().stream()
                        .map(Arm::condition)
                        .flatMap(condition -> unknown(condition, known))
                        .distinct()
                        .forEach(tag -> findings.add(finding(tag, step.id()))));
    return findings;
  }

  /** The tags that a journey sets, or that people get to come in. */
  static Stream<TagName> tagsSetBy(Journey journey) {
    Stream<TagName> brought =
        journey.triggers().stream()
            .filter(Trigger.GetsTag.class::isInstance)
            .map(trigger -> ((Trigger.GetsTag) trigger).tag());
    Stream<TagName> set =
        journey
            .steps()
            .filter(Step.Change.class::isInstance)
            .flatMap(step -> ((Step.Change) step).changes().stream())
            .filter(RecordChange.AddTag.class::isInstance)
            .map(change -> ((RecordChange.AddTag) change).tag());
    return Stream.concat(brought, set);
  }

  private static Stream<TagName> unknown(Condition condition, Set<TagName> known) {
    return condition
        .all()
        .filter(Condition.HasTag.class::isInstance)
        .map(part -> ((Condition.HasTag) part).tag())
        .filter(tag -> !known.contains(tag));
  }

  private static Finding finding(TagName tag, @org.jspecify.annotations.Nullable StepId step) {
    return new Finding(
        "tag-never-set",
        Severity.WARNING,
        Optional.ofNullable(step),
        "Tag \u201c%s\u201d is asked for, but no journey sets it and no audience group brings it, so "
                .formatted(tag)
            + "nobody has it. Check the spelling, or set the tag in a step.",
        Optional.empty());
  }
}
