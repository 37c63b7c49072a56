package org.opentrellis.core.sentence;

import java.util.ArrayList;
import java.util.List;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Variant;

/** Says the parts of one journey in words that can be read aloud. */
public final class Sentences {
  private final Journey journey;
  private final Library library;
  private final ConditionWords conditions;

  /**
   * @param catalogue what the journey refers to, for the names
   */
  public Sentences(Journey journey, Catalogue catalogue) {
    this.journey = journey;
    this.library = new Library(Strands.expand(journey, catalogue), catalogue);
    this.conditions = new ConditionWords(library);
  }

  /** How people come in and what for: the line above the run sheet. */
  public Phrase opening() {
    Phrase phrase = trigger();
    if (journey.entryFilter().isPresent()) {
      phrase = phrase.and(", if they ").and(condition(journey.entryFilter().get()));
    }
    if (!journey.triggers().isEmpty()) {
      phrase = phrase.and(", " + TriggerWords.say(journey.reEntry()));
    }
    if (journey.goal().isEmpty()) {
      return phrase.and(" · no goal yet");
    }
    Goal goal = journey.goal().get();
    return phrase
        .and(" · goal ")
        .and(strong(condition(goal.what())))
        .andStrong(" within " + TimeWords.days(goal.withinDays()))
        .and(goal.leaveWhenMet() ? ", leave when met" : ", go on when met");
  }

  /** The rules that hold all through the journey, one sentence each; often none. */
  public List<Phrase> rules() {
    List<Phrase> rules = new ArrayList<>();
    for (Condition condition : journey.leaveWhen()) {
      rules.add(Phrase.plain("Leave as soon as they ").and(condition(condition)));
    }
    journey
        .sendWindow()
        .ifPresent(w -> rules.add(Phrase.plain("Send only ").andStrong(w.inWords())));
    journey
        .zone()
        .ifPresent(z -> rules.add(Phrase.plain("All times are in ").andStrong(z.getId())));
    journey.frequencyGuard().ifPresent(g -> rules.add(guard(g)));
    journey.sender().ifPresent(s -> rules.add(Phrase.plain("From ").andStrong(s)));
    return rules;
  }

  private static Phrase guard(FrequencyGuard guard) {
    String most = guard.most() == 1 ? "1 email" : guard.most() + " emails";
    return Phrase.plain("At most ")
        .andStrong(most + " in " + TimeWords.days(guard.days()))
        .and(" from all journeys; one too many ")
        .and(guard.then() == FrequencyGuard.Then.HOLD ? "waits" : "is skipped");
  }

  /** What brings people in. */
  public Phrase trigger() {
    if (journey.triggers().isEmpty()) {
      return Phrase.plain("No trigger yet: nobody enters by themselves");
    }
    TriggerWords words = new TriggerWords(library);
    return Phrase.plain("Starts when someone ")
        .and(Phrase.join(journey.triggers().stream().map(words::say).toList(), " or "));
  }

  /** What a step does. */
  public Phrase step(Step step) {
    if (step instanceof Step.SendEmail send) {
      return email(send);
    }
    if (step instanceof Step.SendText send) {
      return options(Phrase.plain("Text ").andStrong(library.nameOf(send)), send);
    }
    if (step instanceof Step.Wait wait) {
      return new TimeWords(conditions).say(wait.rule());
    }
    if (step instanceof Step.Branch branch) {
      return branch(branch);
    }
    if (step instanceof Step.SplitTest split) {
      List<String> shares = split.arms().stream().map(arm -> percent(arm.percent())).toList();
      return Phrase.plain("Split by lot ").andStrong(String.join(" / ", shares));
    }
    if (step instanceof Step.Change change) {
      return Phrase.join(change.changes().stream().map(ChangeWords::say).toList(), ", ")
          .capitalised();
    }
    if (step instanceof Step.Include include) {
      return Phrase.plain("Go through strand ").andStrong(library.nameOf(include.strand()));
    }
    if (step instanceof Step.HandOver over) {
      return Phrase.plain("Hand over to journey ")
          .andStrong(over.journey().value())
          .and(over.thenFinish() ? ", and finish here" : ", and go on here");
    }
    if (step instanceof Step.Notify notify) {
      return notice(notify.notice());
    }
    return Phrase.plain("Finish the journey");
  }

  private Phrase email(Step.SendEmail send) {
    if (send.variants().isEmpty()) {
      return options(Phrase.plain("Send ").andStrong(library.nameOf(send)), send);
    }
    List<Phrase> all = new ArrayList<>();
    for (Variant variant : send.variants()) {
      String name = library.nameOf(variant.message());
      String subject = variant.subject().map(s -> ", " + ConditionWords.quoted(s)).orElse("");
      all.add(Phrase.strong(name + subject).and(" to " + percent(variant.percent())));
    }
    return options(Phrase.plain("Send by lot ").and(Phrase.join(all, " or ")), send);
  }

  private Phrase options(Phrase phrase, Step.Send send) {
    Phrase said = phrase;
    if (send.onlyIf().isPresent()) {
      said = said.and(", only if they ").and(condition(send.onlyIf().get()));
    }
    if (send.oncePerPerson()) {
      said = said.and(", once per person");
    }
    boolean untracked = send instanceof Step.SendEmail email && email.untracked();
    return untracked ? said.and(", opens not tracked") : said;
  }

  private static Phrase notice(Notice notice) {
    if (notice instanceof Notice.Teammate mate) {
      return Phrase.plain("Tell ")
          .andStrong(mate.to())
          .and(": ")
          .andStrong(ConditionWords.quoted(mate.text()));
    }
    return Phrase.plain("Tell ").andStrong(((Notice.WebAddress) notice).url());
  }

  private Phrase branch(Step.Branch branch) {
    Phrase phrase = Phrase.plain("Branch");
    if (branch.arms().size() == 1) {
      phrase = phrase.and(" on ").and(condition(branch.arms().get(0).condition()));
    } else {
      phrase = phrase.and(" into ").andStrong(branch.ways().size() + " arms");
    }
    return branch.waitUpTo().isEmpty()
        ? phrase
        : phrase.and(", waiting up to ").andStrong(branch.waitUpTo().map(Amount::inWords).get());
  }

  /** Who takes a way through a step. */
  public Phrase way(Step step, StepId way) {
    Phrase who = who(step, way);
    boolean empty =
        step.ways().stream().anyMatch(one -> one.id().equals(way) && one.steps().isEmpty());
    return empty ? who.and(": goes on below") : who;
  }

  private Phrase who(Step step, StepId way) {
    if (step instanceof Step.SplitTest split) {
      for (SplitArm arm : split.arms()) {
        if (arm.id().equals(way)) {
          return Phrase.strong(percent(arm.percent())).and(" of them");
        }
      }
    }
    if (step instanceof Step.Branch branch) {
      for (Arm arm : branch.arms()) {
        if (arm.id().equals(way)) {
          return branch.arms().size() == 1 ? Phrase.plain("if so") : condition(arm.condition());
        }
      }
    }
    return Phrase.plain("otherwise");
  }

  /** A step in a word or two, for where there is no room for its sentence. */
  public String brief(Step step) {
    if (step instanceof Step.Send send) {
      return library.nameOf(send);
    }
    if (step instanceof Step.Branch branch) {
      return branch.arms().size() == 1
          ? ConditionWords.briefly(branch.arms().get(0).condition()) + "?"
          : branch.ways().size() + " arms";
    }
    if (step instanceof Step.SplitTest) {
      return "split test";
    }
    if (step instanceof Step.Include include) {
      return library.nameOf(include.strand());
    }
    if (step instanceof Step.HandOver over) {
      return "to " + over.journey();
    }
    if (step instanceof Step.Notify notify) {
      return notify.notice() instanceof Notice.Teammate mate ? "tell " + mate.to() : "tell";
    }
    return step instanceof Step.Finish ? "finish" : step(step).text();
  }

  /** A condition, as it follows "who" or "branch on". */
  public Phrase condition(Condition condition) {
    return conditions.say(condition);
  }

  private static Phrase strong(Phrase phrase) {
    return Phrase.strong(phrase.text());
  }

  private static String percent(double percent) {
    return ConditionWords.number(percent) + "%";
  }
}
