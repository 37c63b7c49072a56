package org.opentrellis.core.machine;

import java.util.HashMap;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/** Numbers the tags and lists that a journey has to do with. */
final class RecordMarks {
  private final Map<Object, Integer> numbers = new HashMap<>();

  private RecordMarks() {}

  static RecordMarks of(Journey journey) {
    RecordMarks marks = new RecordMarks();
    journey.triggers().forEach(marks::addTrigger);
    journey.entryFilter().ifPresent(marks::addCondition);
    journey.steps().forEach(marks::addStep);
    return marks;
  }

  OptionalInt find(TagName tag) {
    return look(tag);
  }

  OptionalInt find(ListName list) {
    return look(list);
  }

  private OptionalInt look(Object name) {
    Integer number = numbers.get(name);
    return number == null ? OptionalInt.empty() : OptionalInt.of(number);
  }

  private void add(Object name) {
    numbers.putIfAbsent(name, numbers.size());
  }

  private void addTrigger(Trigger trigger) {
    if (trigger instanceof Trigger.JoinsList joins) {
      add(joins.list());
    } else if (trigger instanceof Trigger.GetsTag gets) {
      add(gets.tag());
    }
  }

  private void addCondition(Condition condition) {
    condition
        .all()
        .forEach(
            part -> {
              if (part instanceof Condition.HasTag has) {
                add(has.tag());
              } else if (part instanceof Condition.OnList on) {
                add(on.list());
              }
            });
  }

  private void addStep(Step step) {
    if (step instanceof Step.Branch branch) {
      branch.arms().stream().map(Arm::condition).forEach(this::addCondition);
    } else if (step instanceof Step.Change change) {
      change.changes().stream().flatMap(RecordMarks::namesIn).forEach(this::add);
    }
  }

  private static Stream<Object> namesIn(RecordChange change) {
    return MarkChange.of(change).stream().map(MarkChange::name);
  }
}
