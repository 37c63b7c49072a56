package org.opentrellis.core.format;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.Wait;
import org.opentrellis.core.format.JourneyDocument.ArmDocument;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;

/** Turns a journey's document into a journey, or says everything that is wrong with it. */
public final class JourneyReader {
  /** A journey has at most this many steps. */
  public static final int MOST_STEPS = 500;

  /** Branches stand at most this deep inside each other. */
  public static final int DEEPEST = 12;

  private final Reading reading = new Reading();
  private final ConditionReader conditions = new ConditionReader(reading);
  private final TimeReader times = new TimeReader(reading);
  private final ChangeReader changes = new ChangeReader(reading);
  private final Set<MessageId> messages;
  private final Set<StepId> ids = new HashSet<>();
  private int steps;

  private JourneyReader(Set<MessageId> messages) {
    this.messages = messages;
  }

  /**
   * Reads a document.
   *
   * @param messages those that exist; naming another is a problem
   * @throws ProblemsFound with every problem and its place
   */
  public static Journey read(JourneyDocument document, Set<MessageId> messages) {
    return new JourneyReader(messages).journey(document);
  }

  private Journey journey(JourneyDocument document) {
    List<Trigger> triggers = reading.list("/triggers", document.triggers(), this::trigger);
    Optional<Condition> filter = Optional.empty();
    if (document.entryFilter() != null) {
      filter = conditions.read(document.entryFilter(), "/entryFilter", false);
    }
    Optional<Goal> goal = Optional.empty();
    if (document.goal() != null) {
      var given = document.goal();
      goal = reading.value("/goal", () -> new Goal(given.withinDays(), given.leaveWhenMet()));
    }
    List<Step> body = sequence(document.body(), "/body", 0);
    require("/name", document.name());
    require("/purpose", document.purpose());
    require("/state", document.state());
    require("/reEntry", document.reEntry());
    problems().throwIfAny();
    Optional<Condition> entryFilter = filter;
    Optional<Goal> theGoal = goal;
    Optional<Journey> journey =
        reading.value(
            "/name",
            () ->
                new Journey(
                    document.name(),
                    document.purpose(),
                    document.state(),
                    triggers,
                    entryFilter,
                    document.reEntry(),
                    theGoal,
                    body));
    problems().throwIfAny();
    return journey.orElseThrow();
  }

  private Problems problems() {
    return reading.problems();
  }

  private void require(String place, @Nullable Object value) {
    if (value == null) {
      reading.missing(place);
    }
  }

  private Optional<Trigger> trigger(TriggerDocument given, String place) {
    if (given instanceof TriggerDocument.JoinsList joins) {
      return reading
          .required(place + "/list", joins.list(), ListName::new)
          .map(Trigger.JoinsList::new);
    }
    return reading
        .required(place + "/tag", ((TriggerDocument.GetsTag) given).tag(), TagName::new)
        .map(Trigger.GetsTag::new);
  }

  private List<Step> sequence(@Nullable List<StepDocument> given, String place, int depth) {
    if (depth > DEEPEST) {
      problems()
          .add("too-deep", place, "Branches may stand at most " + DEEPEST + " deep in each other.");
      return List.of();
    }
    return reading.list(place, given, (step, at) -> step(step, at, depth));
  }

  private Optional<Step> step(StepDocument given, String place, int depth) {
    if (++steps > MOST_STEPS) {
      if (steps == MOST_STEPS + 1) {
        problems().add("too-many-steps", place, "A journey has at most " + MOST_STEPS + " steps.");
      }
      return Optional.empty();
    }
    Optional<StepId> id = id(given.id(), place + "/id");
    Optional<Step> step =
        switch (Kind.of(given)) {
          case SEND -> send((StepDocument.Send) given, place, id);
          case WAIT -> wait((StepDocument.Wait) given, place, id);
          case BRANCH -> branch((StepDocument.Branch) given, place, id, depth);
          case CHANGE -> change((StepDocument.Change) given, place, id);
          case FINISH -> id.map(Step.Finish::new);
        };
    return step;
  }

  private enum Kind {
    SEND,
    WAIT,
    BRANCH,
    CHANGE,
    FINISH;

    static Kind of(StepDocument step) {
      if (step instanceof StepDocument.Send) {
        return SEND;
      }
      if (step instanceof StepDocument.Wait) {
        return WAIT;
      }
      if (step instanceof StepDocument.Branch) {
        return BRANCH;
      }
      return step instanceof StepDocument.Change ? CHANGE : FINISH;
    }
  }

  private Optional<StepId> id(@Nullable String given, String place) {
    Optional<StepId> id = reading.required(place, given, StepId::new);
    if (id.isPresent() && !ids.add(id.get())) {
      problems().add("id-used-twice", place, "The id " + id.get() + " is used twice.");
      return Optional.empty();
    }
    return id;
  }

  private Optional<Step> send(StepDocument.Send given, String place, Optional<StepId> id) {
    Optional<MessageId> message =
        reading.required(place + "/message", given.message(), MessageId::new);
    if (message.isPresent() && !messages.contains(message.get())) {
      problems()
          .add(
              "missing-message",
              place + "/message",
              "There is no message \u201c%s\u201d. Choose one that exists, or write it first."
                  .formatted(message.get()));
      return Optional.empty();
    }
    Optional<String> subject =
        given.subject() == null || given.subject().isBlank()
            ? Optional.empty()
            : Optional.of(given.subject().strip());
    if (subject.map(String::length).orElse(0) > 200) {
      problems().add("bad-value", place + "/subject", "A subject has at most 200 characters.");
    }
    return id.flatMap(i -> message.map(m -> new Step.SendEmail(i, m, subject)));
  }

  private Optional<Step> wait(StepDocument.Wait given, String place, Optional<StepId> id) {
    Optional<Amount> amount = times.amount(given.amount(), place + "/amount");
    Optional<TimeOfDay> until = times.timeOfDay(given.until(), place + "/until");
    if (given.amount() == null && given.until() == null) {
      problems()
          .add("empty-wait", place, "A wait needs an amount of time, a time of day, or both.");
      return Optional.empty();
    }
    Optional<Wait> rule =
        amount.isPresent() ? amount.map(a -> new Wait.For(a, until)) : until.map(Wait.Until::new);
    return id.flatMap(i -> rule.map(r -> new Step.Pause(i, r)));
  }

  private Optional<Step> branch(
      StepDocument.Branch given, String place, Optional<StepId> id, int depth) {
    Optional<Amount> waitUpTo = times.amount(given.waitUpTo(), place + "/waitUpTo");
    List<Arm> arms =
        reading.list(place + "/arms", given.arms(), (arm, at) -> arm(arm, at, depth, true));
    if (given.arms() != null && given.arms().isEmpty()) {
      problems()
          .add(
              "branch-without-arms",
              place + "/arms",
              "A branch needs at least one arm with a condition. Add one, or remove the branch.");
    }
    if (given.otherwise() == null) {
      reading.missing(place + "/otherwise");
      return Optional.empty();
    }
    Optional<Arm> otherwise = arm(given.otherwise(), place + "/otherwise", depth, false);
    if (arms.isEmpty()) {
      return Optional.empty();
    }
    return id.flatMap(i -> otherwise.map(o -> new Step.Branch(i, waitUpTo, arms, o)));
  }

  private Optional<Arm> arm(ArmDocument given, String place, int depth, boolean asks) {
    Optional<StepId> id = id(given.id(), place + "/id");
    Optional<Condition> condition = Optional.of(Arm.EVERYONE);
    if (asks && given.condition() == null) {
      reading.missing(place + "/condition");
      condition = Optional.empty();
    } else if (asks) {
      condition = conditions.read(given.condition(), place + "/condition", true);
    } else if (given.condition() != null) {
      problems()
          .add("bad-value", place + "/condition", "The arm for everyone else has no condition.");
    }
    List<Step> inside = sequence(given.steps(), place + "/steps", depth + 1);
    Optional<Condition> asked = condition;
    return id.flatMap(i -> asked.map(c -> new Arm(i, c, inside)));
  }

  private Optional<Step> change(StepDocument.Change given, String place, Optional<StepId> id) {
    List<RecordChange> read = reading.list(place + "/changes", given.changes(), changes::read);
    if (given.changes() != null && given.changes().isEmpty()) {
      problems().add("empty-change", place + "/changes", "A change must change something.");
    }
    return read.isEmpty() ? Optional.empty() : id.map(i -> new Step.Change(i, read));
  }
}
