package org.opentrellis.core.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Offer;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Trigger;

/**
 * A question about a product, category, event or field that no simulated person can have anything
 * to do with: misspelt, or not said yet, so that nobody goes that way in a dry run.
 */
final class NotAssumed implements Check {
  @Override
  public List<Finding> look(CheckContext context) {
    Set<Name> known = known(context);
    List<Finding> findings = new ArrayList<>();
    Stream<Condition> rules = LabelUse.askedByRules(context.journey());
    Stream<Object> buys =
        context.journey().triggers().stream()
            .filter(one -> one instanceof Trigger.Buys || one instanceof Trigger.EventArrives)
            .map(Object.class::cast);
    add(Stream.concat(rules, buys).toList(), Optional.empty(), known, findings);
    context
        .expanded()
        .steps()
        .forEach(step -> add(step.conditions(), Optional.of(step.id()), known, findings));
    return findings;
  }

  private static void add(
      List<?> parts, Optional<StepId> step, Set<Name> known, List<Finding> findings) {
    NamesIn.of(parts)
        .filter(name -> !known.contains(name))
        .distinct()
        .flatMap(name -> sentence(name).stream())
        .map(
            sentence ->
                step.map(id -> Findings.warning("not-assumed", id, sentence))
                    .orElseGet(() -> Findings.warning("not-assumed", sentence)))
        .forEach(findings::add);
  }

  /** Empty for kinds of names that others look after. */
  private static Optional<String> sentence(Name name) {
    return switch (name) {
      case ProductName product ->
          Optional.of(
              "Nobody buys \u201c%s\u201d in a dry run: it is not among what people are assumed to buy."
                  .formatted(product));
      case CategoryName category ->
          Optional.of(
              "Nobody buys from \u201c%s\u201d in a dry run: nothing that people are assumed to buy is of it."
                  .formatted(category));
      case EventName event ->
          Optional.of(
              "Event \u201c%s\u201d never happens in a dry run: no audience group is assumed to have it."
                  .formatted(event));
      case FieldName field ->
          Optional.of(
              "Field \u201c%s\u201d is empty for everybody in a dry run: no audience group has it, and no step sets it."
                  .formatted(field));
      default -> Optional.empty();
    };
  }

  private static Set<Name> known(CheckContext context) {
    Set<Name> known = new HashSet<>();
    for (Offer offer : context.behaviour().offers()) {
      known.add(offer.product());
      known.add(offer.category());
    }
    for (AudienceGroup group : context.behaviour().groups()) {
      known.addAll(group.events().keySet());
      known.addAll(group.fields().keySet());
    }
    context
        .expanded()
        .only(Step.Change.class)
        .forEach(
            step ->
                step.changes().stream()
                    .filter(
                        one ->
                            one instanceof RecordChange.SetField
                                || one instanceof RecordChange.AddToField)
                    .flatMap(NamesIn::of)
                    .forEach(known::add));
    return known;
  }
}
