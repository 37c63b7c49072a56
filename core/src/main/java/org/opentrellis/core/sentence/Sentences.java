package org.opentrellis.core.sentence;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.TimeOfDay;
import org.opentrellis.core.calendar.Wait;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;

/** Says the parts of one journey in words that can be read aloud. */
public final class Sentences {
  private final Journey journey;
  private final Library library;

  /**
   * @param messages those that the journey sends, for their names
   */
  public Sentences(Journey journey, List<Message> messages) {
    this.journey = journey;
    this.library = new Library(journey, messages);
  }

  /** How people come in and what for: the line above the run sheet. */
  public Phrase opening() {
    Phrase phrase = trigger();
    if (journey.entryFilter().isPresent()) {
      phrase = phrase.and(", if they ").and(condition(journey.entryFilter().get()));
    }
    if (!journey.triggers().isEmpty()) {
      boolean once = journey.reEntry() == ReEntry.NEVER;
      phrase = phrase.and(once ? ", once per person" : ", again after having left");
    }
    if (journey.goal().isEmpty()) {
      return phrase.and(" · no goal yet");
    }
    var goal = journey.goal().get();
    return phrase
        .and(" · goal ")
        .andStrong("bought within " + days(goal.withinDays()))
        .and(goal.leaveWhenMet() ? ", leave when met" : ", go on when met");
  }

  /** What brings people in. */
  public Phrase trigger() {
    if (journey.triggers().isEmpty()) {
      return Phrase.plain("No trigger yet: nobody enters by themselves");
    }
    List<Phrase> all = journey.triggers().stream().map(Sentences::trigger).toList();
    return Phrase.plain("Starts when someone ").and(Phrase.join(all, " or "));
  }

  private static Phrase trigger(Trigger trigger) {
    if (trigger instanceof Trigger.JoinsList joins) {
      return Phrase.plain("joins list ").andStrong(joins.list().value());
    }
    return Phrase.plain("gets tag ").andStrong(((Trigger.GetsTag) trigger).tag().value());
  }

  /** What a step does. */
  public Phrase step(Step step) {
    if (step instanceof Step.SendEmail send) {
      return Phrase.plain("Send ").andStrong(library.nameOf(send));
    }
    if (step instanceof Step.Pause pause) {
      return wait(pause.rule());
    }
    if (step instanceof Step.Branch branch) {
      return branch(branch);
    }
    if (step instanceof Step.Change change) {
      Phrase all = Phrase.join(change.changes().stream().map(Sentences::change).toList(), ", ");
      return capitalised(all);
    }
    return Phrase.plain("Finish the journey");
  }

  /** Who takes an arm. */
  public Phrase arm(Step.Branch branch, Arm arm) {
    boolean otherwise = arm.id().equals(branch.otherwise().id());
    Phrase ifSo = branch.arms().size() == 1 ? Phrase.plain("if so") : condition(arm.condition());
    Phrase who = otherwise ? Phrase.plain("otherwise") : ifSo;
    return arm.steps().isEmpty() ? who.and(": goes on below") : who;
  }

  /** A step in a word or two, for where there is no room for its sentence. */
  public String brief(Step step) {
    if (step instanceof Step.SendEmail send) {
      return library.nameOf(send);
    }
    if (step instanceof Step.Branch branch) {
      return branch.arms().size() == 1
          ? briefly(branch.arms().get(0).condition()) + "?"
          : branch.allArms().size() + " arms";
    }
    return step instanceof Step.Finish ? "finish" : step(step).text();
  }

  private static String briefly(Condition condition) {
    if (condition instanceof Condition.Opened) {
      return "opened";
    }
    if (condition instanceof Condition.Clicked clicked) {
      return clicked.link().map(link -> "clicked " + quoted(link.value())).orElse("clicked");
    }
    if (condition instanceof Condition.HasTag has) {
      return "tag " + has.tag();
    }
    if (condition instanceof Condition.OnList on) {
      return "on list " + on.list();
    }
    List<String> parts = condition.parts().stream().map(Sentences::briefly).distinct().toList();
    if (parts.size() == 1) {
      return (condition instanceof Condition.None ? "not " : "") + parts.get(0);
    }
    return condition.parts().size() + " questions";
  }

  private Phrase branch(Step.Branch branch) {
    Phrase phrase = Phrase.plain("Branch");
    if (branch.arms().size() == 1) {
      phrase = phrase.and(" on ").and(condition(branch.arms().get(0).condition()));
    } else {
      phrase = phrase.and(" into ").andStrong(branch.allArms().size() + " arms");
    }
    return branch.waitUpTo().isEmpty()
        ? phrase
        : phrase.and(", waiting up to ").andStrong(branch.waitUpTo().map(Amount::inWords).get());
  }

  private static Phrase wait(Wait wait) {
    if (wait instanceof Wait.For waits) {
      Phrase phrase = Phrase.plain("Wait ").andStrong(waits.amount().inWords());
      Optional<TimeOfDay> then = waits.thenUntil();
      return then.isEmpty()
          ? phrase
          : phrase.and(", then until ").andStrong(then.get().inWords()).and(" their time");
    }
    return Phrase.plain("Wait until ")
        .andStrong(((Wait.Until) wait).moment().inWords())
        .and(" their time");
  }

  private static Phrase change(RecordChange change) {
    if (change instanceof RecordChange.AddTag add) {
      return Phrase.plain("tag ").andStrong(add.tag().value());
    }
    if (change instanceof RecordChange.RemoveTag remove) {
      return Phrase.plain("remove tag ").andStrong(remove.tag().value());
    }
    if (change instanceof RecordChange.JoinList join) {
      return Phrase.plain("add to list ").andStrong(join.list().value());
    }
    if (change instanceof RecordChange.LeaveList leave) {
      return Phrase.plain("take off list ").andStrong(leave.list().value());
    }
    if (change instanceof RecordChange.CopyToList copy) {
      return Phrase.plain("copy to list ").andStrong(copy.to().value()).and(", staying on others");
    }
    RecordChange.MoveToList move = (RecordChange.MoveToList) change;
    String from = move.from().stream().map(ListName::value).collect(Collectors.joining(" and "));
    return Phrase.plain("move from list ").andStrong(from).and(" to ").andStrong(move.to().value());
  }

  /** A condition, as it follows "who" or "branch on". */
  public Phrase condition(Condition condition) {
    if (condition instanceof Condition.Opened opened) {
      Phrase phrase = Phrase.plain("opened ").andStrong(quoted(library.nameOf(opened.email())));
      return opened.peopleOnly() ? phrase.and(" themselves") : phrase;
    }
    if (condition instanceof Condition.Clicked clicked) {
      Phrase phrase = Phrase.plain("clicked ");
      if (clicked.link().isPresent()) {
        phrase = phrase.andStrong(quoted(clicked.link().get().value())).and(" in ");
      }
      return phrase.andStrong(quoted(library.nameOf(clicked.email())));
    }
    if (condition instanceof Condition.HasTag has) {
      return Phrase.plain("have tag ").andStrong(has.tag().value());
    }
    if (condition instanceof Condition.OnList on) {
      return Phrase.plain("are on list ").andStrong(on.list().value());
    }
    List<Phrase> parts = condition.parts().stream().map(this::nested).toList();
    if (parts.isEmpty()) {
      return Phrase.plain(condition instanceof Condition.Any ? "nobody" : "everyone");
    }
    if (condition instanceof Condition.All) {
      return Phrase.join(parts, " and ");
    }
    if (condition instanceof Condition.Any) {
      return Phrase.join(parts, " or ");
    }
    return condition.parts().size() == 1
        ? negated(condition.parts().get(0))
        : Phrase.plain("neither ").and(Phrase.join(parts, " nor "));
  }

  private Phrase negated(Condition part) {
    if (part instanceof Condition.HasTag has) {
      return Phrase.plain("have no tag ").andStrong(has.tag().value());
    }
    if (part instanceof Condition.OnList on) {
      return Phrase.plain("are not on list ").andStrong(on.list().value());
    }
    return Phrase.plain("have not ").and(condition(part));
  }

  private Phrase nested(Condition part) {
    return part.parts().size() > 1
        ? Phrase.plain("(").and(condition(part)).and(")")
        : condition(part);
  }

  private static Phrase capitalised(Phrase phrase) {
    Span first = phrase.spans().get(0);
    String text = Character.toUpperCase(first.text().charAt(0)) + first.text().substring(1);
    List<Span> spans = new java.util.ArrayList<>(phrase.spans());
    spans.set(0, new Span(text, first.strong()));
    return new Phrase(spans);
  }

  private static String quoted(String name) {
    return "\u201c" + name + "\u201d";
  }

  private static String days(int count) {
    return count == 1 ? "1 day" : count + " days";
  }
}
