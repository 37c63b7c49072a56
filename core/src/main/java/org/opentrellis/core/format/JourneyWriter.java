package org.opentrellis.core.format;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.Wait;
import org.opentrellis.core.format.JourneyDocument.AmountDocument;
import org.opentrellis.core.format.JourneyDocument.ArmDocument;
import org.opentrellis.core.format.JourneyDocument.GoalDocument;
import org.opentrellis.core.format.JourneyDocument.TimeOfDayDocument;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;

/** Turns a journey into its document; {@link JourneyReader} gets the same journey back. */
public final class JourneyWriter {
  private JourneyWriter() {}

  public static JourneyDocument write(Journey journey) {
    return new JourneyDocument(
        journey.name(),
        journey.purpose(),
        journey.state(),
        journey.triggers().stream().map(JourneyWriter::trigger).toList(),
        journey.entryFilter().map(JourneyWriter::condition).orElse(null),
        journey.reEntry(),
        journey
            .goal()
            .map(goal -> new GoalDocument(goal.withinDays(), goal.leaveWhenMet()))
            .orElse(null),
        steps(journey.body()));
  }

  private static TriggerDocument trigger(Trigger trigger) {
    return trigger instanceof Trigger.JoinsList joins
        ? new TriggerDocument.JoinsList(joins.list().value())
        : new TriggerDocument.GetsTag(((Trigger.GetsTag) trigger).tag().value());
  }

  private static List<StepDocument> steps(List<Step> steps) {
    return steps.stream().map(JourneyWriter::step).toList();
  }

  private static StepDocument step(Step step) {
    String id = step.id().value();
    if (step instanceof Step.SendEmail send) {
      return new StepDocument.Send(id, send.message().value(), send.subject().orElse(null));
    }
    if (step instanceof Step.Pause pause) {
      return pause.rule() instanceof Wait.For waits
          ? new StepDocument.Wait(id, amount(waits.amount()), timeOfDay(waits.thenUntil()))
          : new StepDocument.Wait(
              id, null, timeOfDay(Optional.of(((Wait.Until) pause.rule()).moment())));
    }
    if (step instanceof Step.Branch branch) {
      return new StepDocument.Branch(
          id,
          branch.waitUpTo().map(JourneyWriter::amount).orElse(null),
          branch.arms().stream()
              .map(a -> new ArmDocument(a.id().value(), condition(a.condition()), steps(a.steps())))
              .toList(),
          otherwise(branch.otherwise()));
    }
    if (step instanceof Step.Change change) {
      return new StepDocument.Change(
          id, change.changes().stream().map(JourneyWriter::change).toList());
    }
    return new StepDocument.Finish(id);
  }

  private static ArmDocument otherwise(Arm arm) {
    return new ArmDocument(arm.id().value(), null, steps(arm.steps()));
  }

  private static AmountDocument amount(Amount amount) {
    return new AmountDocument(amount.count(), amount.unit());
  }

  private static @org.jspecify.annotations.Nullable TimeOfDayDocument timeOfDay(
      Optional<TimeOfDay> moment) {
    return moment.map(m -> new TimeOfDayDocument(m.time().toString(), weekdays(m))).orElse(null);
  }

  private static List<DayOfWeek> weekdays(TimeOfDay moment) {
    return moment.days().stream().sorted().toList();
  }

  private static ConditionDocument condition(Condition condition) {
    if (condition instanceof Condition.Opened opened) {
      return new ConditionDocument.Opened(opened.email().value(), opened.peopleOnly());
    }
    if (condition instanceof Condition.Clicked clicked) {
      return new ConditionDocument.Clicked(
          clicked.email().value(), clicked.link().map(LinkName::value).orElse(null));
    }
    if (condition instanceof Condition.HasTag has) {
      return new ConditionDocument.HasTag(has.tag().value());
    }
    if (condition instanceof Condition.OnList on) {
      return new ConditionDocument.OnList(on.list().value());
    }
    List<ConditionDocument> parts =
        condition.parts().stream().map(JourneyWriter::condition).toList();
    if (condition instanceof Condition.All) {
      return new ConditionDocument.All(parts);
    }
    return condition instanceof Condition.Any
        ? new ConditionDocument.Any(parts)
        : new ConditionDocument.None(parts);
  }

  private static ChangeDocument change(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return new ChangeDocument.AddTag(add.tag().value());
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return new ChangeDocument.RemoveTag(remove.tag().value());
    }
    if (change instanceof RecordChange.JoinList join) {
      return new ChangeDocument.JoinList(join.list().value());
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return new ChangeDocument.LeaveList(leave.list().value());
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return new ChangeDocument.CopyToList(copy.to().value());
    }
    RecordChange.MoveToList move = (RecordChange.MoveToList) change;
    return new ChangeDocument.MoveToList(
        move.to().value(), move.from().stream().map(ListName::value).toList());
  }
}
